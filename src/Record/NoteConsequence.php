<?php

declare(strict_types=1);

namespace App\Record;

use App\Change\Replacement;
use App\Wording\Sayer;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Plan\DryRun;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Plan\SupplyChange;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;

/** What follows from a note, told as soon as it is kept: the new ready day, and who goes short or is served after all. */
final readonly class NoteConsequence
{
    private const SHOWN = 2;

    public function __construct(private Planner $planner, private CropBook $book, private Sayer $sayer)
    {
    }

    /** @return string sentences with a space before them; empty: nothing changes */
    public function of(Garden $garden, Replacement $replacement): string
    {
        $sentences = [$this->ready($replacement->old[0], $replacement->new[0])];
        $changes = [] === $garden->promises ? [] : DryRun::of($this->planner, $this->book, $garden, $replacement->old,
            $replacement->new)->changes;
        $names = [];
        foreach ($garden->outlets as $outlet) {
            $names[$outlet->key] = $outlet->name;
        }
        $sentences[] = $this->served('Short', $names, array_filter($changes, static fn (SupplyChange $c): bool => $c->gain() < 0));
        $sentences[] = $this->served('Served after all', $names, array_filter($changes,
            static fn (SupplyChange $c): bool => $c->gain() > 0));

        return implode('', array_map(static fn (string $s): string => ' '.$s, array_filter($sentences,
            static fn (string $s): bool => '' !== $s)));
    }

    private function ready(Planting $was, Planting $is): string
    {
        if (Standing::Cleared === $is->standing || $is->ready->equals($was->ready)) {
            return '';
        }

        return \sprintf('Ready %s now, not %s.', $this->sayer->shortDay($is->ready), $this->sayer->shortDay($was->ready));
    }

    /**
     * @param array<string, string> $names   of the outlets
     * @param array<SupplyChange>   $changes
     */
    private function served(string $how, array $names, array $changes): string
    {
        if ([] === $changes) {
            return '';
        }
        $told = array_map(fn (SupplyChange $c): string => \sprintf('%s %s, %s', $names[$c->outlet] ?? $c->outlet,
            $this->sayer->shortDay($c->day),
            $this->sayer->goods($this->book->get($c->item)->produce->goods(abs($c->gain())))), \array_slice($changes, 0, self::SHOWN));
        $more = \count($changes) - \count($told);

        return \sprintf('%s: %s%s.', $how, implode('; ', $told), 0 === $more ? '' : \sprintf(' and %d more market %s', $more, 1 === $more
            ? 'day' : 'days'));
    }
}
