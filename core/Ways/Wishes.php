<?php

declare(strict_types=1);

namespace JollyFurrow\Ways;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Stand;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Keeping;
use JollyFurrow\Garden\PlanRules;
use JollyFurrow\Garden\ReserveWay;
use JollyFurrow\Garden\SuccessionSchool;
use JollyFurrow\Measure\Length;
use JollyFurrow\Need\Need;
use JollyFurrow\Time\Day;

/** The grower's wishes for a plan: which of the ways to grow a crop are left by them, and how much above need is grown. */
final readonly class Wishes
{
    /** What is grown on rather than stored is cut within so many days of its market day. */
    private const FRESH_DAYS = 10;

    private PlanRules $rules;
    private SuccessionSchool $school;

    public function __construct(private Candidates $candidates, private CropBook $book, Garden $garden, ?SuccessionSchool $school = null)
    {
        $this->rules = $garden->settings->rules;
        $this->school = $school ?? $this->rules->school;
    }

    /** @return list<Candidate> by sowing day */
    public function ways(string $item, Day $from, Day $until): array
    {
        $ways = $this->ofSchool($item, $from, $until);
        $method = $this->rules->methods[$item] ?? null;
        $ways = null === $method ? $ways : array_values(array_filter($ways, static fn (Candidate $c): bool => $c->method === $method));

        return 0 === $this->rules->mostSowings ? $ways : self::fewDays($ways, $this->rules->mostSowings);
    }

    /** @return list<Candidate> by sowing day */
    private function ofSchool(string $item, Day $from, Day $until): array
    {
        $varieties = $this->book->varietiesOf($item);
        $ways = SuccessionSchool::ByDate === $this->school ? $this->candidates->ofTheFittest($varieties, $from, $until)
            : array_merge(...array_map(fn (Crop $crop): array => $this->candidates->of($crop, $from, $until), $varieties));
        usort($ways, static fn (Candidate $a, Candidate $b): int => [$a->sow, $a->key()] <=> [$b->sow, $b->key()]);

        return SuccessionSchool::ByVariety === $this->school ? self::onceAMonth($ways) : $ways;
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

    /**
     * Needs as they are planned for: with the reserve on top where plantings are made longer, cut fresh where the crop is
     * to be grown on.
     *
     * @param list<Need> $needs
     *
     * @return list<Need>
     */
    public function needs(string $item, array $needs): array
    {
        $more = ReserveWay::Longer === $this->rules->reserveWay ? 1 + $this->rules->reserve : 1.0;
        $reach = Keeping::GrowOn === ($this->rules->keeping[$item] ?? null) ? self::FRESH_DAYS : \PHP_INT_MAX;

        return array_map(static fn (Need $n): Need => new Need($n->day, min($n->reach, $reach), (int) ceil($n->units * $more - 1e-9),
            $n->byOutlet), $needs);
    }

    /**
     * What is grown as plantings of its own above need.
     *
     * @param list<Need> $needs
     *
     * @return list<Need>
     */
    public function extra(array $needs): array
    {
        if (ReserveWay::Extra !== $this->rules->reserveWay || 0.0 === $this->rules->reserve) {
            return [];
        }

        return array_map(fn (Need $n): Need => $n->withUnits((int) ceil($n->units * $this->rules->reserve - 1e-9)), $needs);
    }

    /**
     * Sown on at most so many days of a calendar month, evenly spread over it.
     *
     * @param list<Candidate> $ways by sowing day
     *
     * @return list<Candidate>
     */
    private static function fewDays(array $ways, int $most): array
    {
        $months = [];
        foreach ($ways as $way) {
            $day = Day::of($way->sow);
            $months[$day->year() * 12 + $day->month()][$way->sow] = true;
        }
        $chosen = [];
        foreach ($months as $days) {
            $days = array_keys($days);
            $count = min($most, \count($days));
            for ($i = 0; $i < $count; ++$i) {
                $chosen[$days[intdiv((2 * $i + 1) * \count($days), 2 * $count)]] = true;
            }
        }

        return array_values(array_filter($ways, static fn (Candidate $way): bool => isset($chosen[$way->sow])));
    }

    /** Micrometres of bed that the plants of one full tray fill; null: lengths go by the bed. */
    public static function tray(PlanRules $rules, Method $method, Stand $stand): ?int
    {
        return $rules->fullTrays && Method::Transplanted === $method
            ? max(10 * Length::CENTIMETRE,
                (int) (floor($stand->cellsPerTray * (1 - $stand->trayLoss) / $stand->rows) * $stand->inRow->micrometres)) : null;
    }
}
