<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Shed\BedNeed;
use JollyFurrow\Shed\BlockMixes;
use JollyFurrow\Shed\Mix;
use JollyFurrow\Shed\ProductChoice;
use JollyFurrow\Soil\FeedSchool;
use JollyFurrow\Soil\Heat;
use JollyFurrow\Soil\Release;
use JollyFurrow\Soil\ShedProduct;

/**
 * What is mixed for some doses of one block, and how much of it goes where. Raw manure is in none: it goes on bare ground,
 * months before a harvest.
 */
final class MixCard
{
    private const GRAMS = 0.1;

    /**
     * @param list<array{PlantingFeed, int}> $doses   plantings, and which of their doses
     * @param bool                           $isRough one mix for all where that can be: for what is to be bought
     *
     * @return list<Mix>
     */
    public static function of(Garden $garden, array $doses, bool $isRough = false): array
    {
        $rules = $garden->soil->rules;
        $shed = array_values(array_filter($garden->soil->shed, static fn (ShedProduct $p): bool => Heat::Raw !== $p->heat
            && (FeedSchool::InCompost !== $rules->school || Release::Compost === $p->release)));
        $allowed = FeedSchool::InCompost === $rules->school ? null : $rules->allowed()->times(self::GRAMS);

        $needs = self::needs($doses);
        $choice = ProductChoice::from($shed);
        $one = $isRough && [] !== $needs ? Mix::of($needs, $choice, $allowed, $rules->short, true) : null;

        return null !== $one ? [$one] : (new BlockMixes($choice, $rules->mixCents, short: $rules->short, allowed: $allowed))->of($needs);
    }

    /**
     * @param list<array{PlantingFeed, int}> $doses
     *
     * @return list<BedNeed> keyed by planting, dose and piece
     */
    public static function needs(array $doses): array
    {
        $needs = [];
        foreach ($doses as [$feed, $n]) {
            foreach ($feed->pieces as $at => $piece) {
                $need = $feed->dose($piece, $n);
                if (!$need->isNone()) {
                    $needs[] = new BedNeed($feed->planting->key.'/'.$feed->doses()[$n]->step.'/'.$at,
                        $piece->stretch->bed, $piece->area, $need, $piece->stretch->length()->metres());
                }
            }
        }

        return $needs;
    }
}
