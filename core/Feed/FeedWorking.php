<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

use JollyFurrow\Measure\Unit;
use JollyFurrow\Soil\Nutrient;
use JollyFurrow\Working\From;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\Sum;
use JollyFurrow\Working\Working;

/** What is left to give of a nutrient on one piece, and how that came about; grams a square metre. */
final class FeedWorking
{
    /** @return list<Working> nitrogen, phosphate, potash */
    public static function of(PieceFeed $piece, CropNeed $row): array
    {
        return array_map(static fn (Nutrient $n): Working => self::one($piece, $row, $n), Nutrient::cases());
    }

    private static function one(PieceFeed $piece, CropNeed $row, Nutrient $nutrient): Working
    {
        $inputs = [Input::of('need', $piece->need->get($nutrient), Unit::GramPerSquareMetre, $row->source)];
        foreach (CreditKind::cases() as $kind) {
            $given = array_sum(array_map(static fn (Credit $c): float => $c->kind === $kind ? $c->gives->get($nutrient) : 0.0,
                $piece->credits));
            $inputs[] = Input::of(self::name($kind), $given, Unit::GramPerSquareMetre, match ($kind) {
                CreditKind::OrganicMatter, CreditKind::GreenManure => Source::practice(),
                CreditKind::Spread, CreditKind::Compost, CreditKind::Carried => Source::garden(From::TheBed),
            });
        }

        return Working::of(match ($nutrient) {
            Nutrient::Nitrogen => Sum::FeedNitrogen,
            Nutrient::Phosphate => Sum::FeedPhosphate,
            Nutrient::Potash => Sum::FeedPotash,
        }, $piece->left->get($nutrient), Unit::GramPerSquareMetre, 'max(0, need - organic - green - spread - compost - carried)', $inputs,
            Source::practice());
    }

    private static function name(CreditKind $kind): string
    {
        return match ($kind) {
            CreditKind::OrganicMatter => 'organic',
            CreditKind::GreenManure => 'green',
            CreditKind::Spread => 'spread',
            CreditKind::Compost => 'compost',
            CreditKind::Carried => 'carried',
        };
    }
}
