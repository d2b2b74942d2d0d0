<?php

declare(strict_types=1);

namespace JollyFurrow\Garden;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Time\Day;
use JollyFurrow\Ways\Candidate;
use JollyFurrow\Ways\Candidates;

/** How a harvest is spread over the season: one variety sown again and again, several maturities sown on one day, or both. */
enum SuccessionSchool: string
{
    case ByDate = 'by-date';
    case ByVariety = 'by-variety';
    case Both = 'both';

    public function words(): string
    {
        return match ($this) {
            self::ByDate => 'one variety, sown again and again',
            self::ByVariety => 'all varieties, sown once a month',
            self::Both => 'all varieties, on any sowing day',
        };
    }

    /** @return list<Candidate> by sowing day */
    public function ways(Candidates $candidates, CropBook $book, string $item, Day $from, Day $until): array
    {
        $crops = self::ByDate === $this ? [$book->get($item)] : $book->varietiesOf($item);
        $ways = array_merge(...array_map(static fn (Crop $crop): array => $candidates->of($crop, $from, $until), $crops));
        usort($ways, static fn (Candidate $a, Candidate $b): int => [$a->sow, $a->key()] <=> [$b->sow, $b->key()]);

        return self::ByVariety === $this ? self::onceAMonth($ways) : $ways;
    }

    /**
     * Those sown on the first sowing day of their month.
     *
     * @param list<Candidate> $ways by sowing day
     *
     * @return list<Candidate>
     */
    private static function onceAMonth(array $ways): array
    {
        $first = [];
        foreach ($ways as $way) {
            $day = Day::of($way->sow);
            $first[$day->year() * 12 + $day->month()] ??= $way->sow;
        }

        return array_values(array_filter($ways, static fn (Candidate $way): bool => \in_array($way->sow, $first, true)));
    }
}
