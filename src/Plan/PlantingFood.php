<?php

declare(strict_types=1);

namespace App\Plan;

use App\Books\SoilTables;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Feed\CreditKind;
use JollyFurrow\Feed\FeedDay;
use JollyFurrow\Feed\Feeding;
use JollyFurrow\Feed\FeedWorking;
use JollyFurrow\Feed\MixCard;
use JollyFurrow\Feed\PieceFeed;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shed\Mix;
use JollyFurrow\Work\CareCalendar;
use JollyFurrow\Working\Working;

/** What one planting is fed, with the working of each number. */
final readonly class PlantingFood
{
    /**
     * @param list<array{bed: string, workings: list<Working>}> $pieces
     * @param list<array{dose: FeedDay, mixes: list<Mix>}>      $doses
     * @param bool                                              $isComposted the preparation brings compost this time
     */
    private function __construct(public array $pieces, public array $doses, public bool $isComposted)
    {
    }

    /** Null: nothing is said of the shed or the soil, so nothing can be reckoned but the usual rate. */
    public static function of(Planting $planting, Garden $garden, CropBook $book, RecipeBook $recipes, SoilTables $tables,
        CareCalendar $care): ?self
    {
        $feed = [] === $garden->soil->shed && [] === $garden->soil->tests ? null : (new Feeding($garden, $book, $recipes, $tables->needs(),
            $tables->calendar(), $care))->plan()->get($planting->key);
        if (null === $feed) {
            return null;
        }
        $doses = [];
        foreach ($feed->isNone() ? [] : $feed->doses() as $n => $dose) {
            $doses[] = ['dose' => $dose, 'mixes' => [] === $garden->soil->shed ? [] : MixCard::of($garden, [[$feed, $n]])];
        }
        $composted = array_filter($feed->pieces, static fn (PieceFeed $p): bool => [] !== array_filter($p->credits,
            static fn ($c): bool => CreditKind::Compost === $c->kind));

        return new self(array_map(static fn (PieceFeed $p): array => ['bed' => $p->stretch->bed, 'workings' => FeedWorking::of($p,
            $feed->row)],
            $feed->pieces), $doses, [] !== $composted);
    }
}
