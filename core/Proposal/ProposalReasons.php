<?php

declare(strict_types=1);

namespace JollyFurrow\Proposal;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Plan\Plan;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Plan\Scope;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Time\Day;

/** Says in words why a proposal keeps, adds, moves or drops a planting: by the market days each serves before and after. */
final readonly class ProposalReasons
{
    /** @var array<string, array<int, int>> units by planting and market day, as it stands */
    private array $servesNow;
    /** @var array<string, array<int, int>> the same, as drawn up */
    private array $servesThen;

    public function __construct(private Garden $garden, private Plan $now, private Plan $drawn, private CropBook $book,
        private Scope $scope)
    {
        $this->servesNow = self::serves($now);
        $this->servesThen = self::serves($drawn);
    }

    /** @param string $drawnKey name of the new planting in the plan it was drawn up in */
    public function of(ProposedChange $change, string $drawnKey): string
    {
        return match ($change->kind()) {
            ChangeKind::Kept => $this->stays($change->planting()),
            ChangeKind::Dropped => $this->goes($change->planting()),
            ChangeKind::Fresh => $this->brings($change->planting(), $drawnKey),
            ChangeKind::Moved => $this->differs($change).'. '.$this->brings($change->planting(), $drawnKey),
        };
    }

    private function stays(Planting $planting): string
    {
        return match (true) {
            Standing::Planned !== $planting->standing => match ($planting->standing) {
                Standing::InNursery => 'It is in the nursery.', Standing::Growing => 'It is in the ground.', default => 'It is cleared.',
            },
            $planting->locked => 'It is locked.',
            $planting->firstWork()->isBefore($this->garden->today->plus(Planner::FROZEN_DAYS)) => \sprintf('Its first work, %s, lies within the next three weeks.', $planting->firstWork()->iso()),
            !$this->scope->covers($planting) => 'It lies outside what was drawn up.',
            default => 'Nothing better was found.',
        };
    }

    private function goes(Planting $planting): string
    {
        $served = $this->servesNow[$planting->key] ?? [];
        if ([] === $served) {
            return 'No promise needs it: what it would bring serves no market day.';
        }
        $short = 0;
        foreach ($this->drawn->shortages as $shortage) {
            $short += $shortage->item === $planting->item && isset($served[$shortage->day->number]) ? $shortage->units : 0;
        }
        foreach ($this->now->shortages as $shortage) {
            $short -= $shortage->item === $planting->item && isset($served[$shortage->day->number]) ? $shortage->units : 0;
        }

        return \sprintf('It served %s; %s.', $this->days($planting->item, $served), $short > 0 ? $this->amount($planting->item,
            $short).' of that are given up: they would cost more than they bring, or other plantings need the bed'
            : 'other plantings serve that in its place');
    }

    private function brings(Planting $planting, string $drawnKey): string
    {
        $served = $this->servesThen[$drawnKey] ?? [];

        return [] === $served ? 'It serves no promise by itself; it fills up what others may fall short of.' : \sprintf('It serves %s.',
            $this->days($planting->item, $served));
    }

    private function differs(ProposedChange $change): string
    {
        [$old, $new] = [$change->old ?? $change->planting(), $change->planting()];
        $units = $this->garden->settings->units;
        $words = [];
        if (!$old->sow->equals($new->sow)) {
            $words[] = \sprintf('sown %d days %s', abs($new->sow->since($old->sow)), $old->sow->isBefore($new->sow) ? 'later' : 'earlier');
        }
        if (self::beds($old) !== self::beds($new)) {
            $words[] = \sprintf('on %s instead of %s', self::beds($new), self::beds($old));
        } elseif ($old->pieces != $new->pieces && $old->length()->micrometres === $new->length()->micrometres) {
            $words[] = 'on another stretch of '.self::beds($new);
        }
        if ($old->length()->micrometres !== $new->length()->micrometres) {
            $words[] = \sprintf('%s instead of %s', $units->long($new->length()), $units->long($old->length()));
        }
        if ([] === $words) {
            $words[] = $old->clear->equals($new->clear) ? 'its other dates differ' : \sprintf('bed taken until %s instead of %s',
                $new->clear->iso(), $old->clear->iso());
        }

        return ucfirst(implode(', ', $words));
    }

    private static function beds(Planting $planting): string
    {
        return implode(', ', array_unique(array_map(static fn (Stretch $s): string => $s->bed, $planting->pieces)));
    }

    /** @param array<int, int> $served */
    private function days(string $item, array $served): string
    {
        ksort($served);
        $first = Day::of((int) array_key_first($served));

        return \sprintf('%s on %s', $this->amount($item, array_sum($served)), 1 === \count($served) ? $first->iso()
            : \sprintf('%d market days from %s', \count($served), $first->iso()));
    }

    private function amount(string $item, int $units): string
    {
        return $this->book->get($item)->produce->amount($units);
    }

    /** @return array<string, array<int, int>> */
    private static function serves(Plan $plan): array
    {
        $serves = [];
        foreach ($plan->from as $item => $byNeed) {
            foreach ($byNeed as $j => $sources) {
                foreach ($sources as $key => $units) {
                    $day = $plan->needs[$item][$j]->day;
                    $serves[$key][$day] = ($serves[$key][$day] ?? 0) + $units;
                }
            }
        }

        return $serves;
    }
}
