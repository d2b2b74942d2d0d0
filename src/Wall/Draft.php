<?php

declare(strict_types=1);

namespace App\Wall;

use App\Change\PlantingMark;
use App\Change\Replacement;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Planting;

/** Changes made on the wall one after the other and not saved yet, and what becomes of the plantings by all of them. */
final readonly class Draft
{
    /**
     * @param list<string>               $words  of each change
     * @param array<int, string|Message> $faults why a change cannot be, by its place
     * @param array<string, Planting>    $old    plantings as they are, by key: those that are changed
     * @param array<string, Planting>    $new    as they would be, by key
     * @param array<string, string>      $seen   marks of the old ones
     */
    private function __construct(public array $words, public array $faults, public array $old, public array $new, public array $seen,
        public Garden $after)
    {
    }

    /**
     * @param list<array<string, string>>                                                $changes
     * @param \Closure(array<string, string>, Garden): (Replacement|string|Message|null) $do      one of them in the garden as it then is
     */
    public static function of(Garden $garden, array $changes, \Closure $do): self
    {
        $now = $garden;
        $words = $faults = $old = $new = [];
        foreach ($changes as $n => $change) {
            $done = $do($change, $now);
            if (!$done instanceof Replacement) {
                $faults[$n] = $done ?? 'That planting is not there any more.';
                $words[] = '';
                continue;
            }
            $words[] = $done->words;
            foreach ($done->old as $planting) {
                isset($new[$planting->key]) || isset($old[$planting->key]) ?: $old[$planting->key] = $planting;
                unset($new[$planting->key]);
            }
            foreach ($done->new as $planting) {
                $new[$planting->key] = $planting;
            }
            $gone = array_fill_keys(array_map(static fn (Planting $p): string => $p->key, $done->old), true);
            $now = $now->with([...$now->plantings->where(static fn (Planting $p): bool => !isset($gone[$p->key])), ...$done->new]);
        }

        return new self($words, $faults, $old, $new, array_map(PlantingMark::of(...), $old), $now);
    }

    /** All of it as one change. */
    public function replacement(): Replacement
    {
        $words = array_values(array_filter($this->words, static fn (string $w): bool => '' !== $w));

        return new Replacement(array_values($this->old), array_values($this->new), 1 === \count($words) ? $words[0]
            : \sprintf('%d changes on the wall: %s', \count($words), implode('; ', $words)));
    }

    /** @return list<string> names of beds it touches */
    public function beds(): array
    {
        $beds = [];
        foreach ([...array_values($this->old), ...array_values($this->new)] as $planting) {
            foreach ($planting->pieces as $piece) {
                $beds[$piece->bed] = true;
            }
        }

        return array_map('strval', array_keys($beds));
    }
}
