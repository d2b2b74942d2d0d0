<?php

declare(strict_types=1);

namespace JollyFurrow\Check;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Time\Day;

/** Supply against need, market day by market day: what is asked, what serves it, and whether that can be had from there. */
final readonly class SupplyRules
{
    private const SHARE_TOLERANCE = 0.0002;

    /** @var array<string, array<string, array<string, int>>> */
    private array $needs;
    private int $today;
    private LateSowing $late;

    /** @param list<Sheet> $plantings kept and new */
    public function __construct(Sheet $garden, private Sheet $plan, private CropBook $book, private array $plantings)
    {
        $this->needs = (new NeedSums($garden, $book))->all();
        $this->today = $garden->day('today') ?? 0;
        $this->late = new LateSowing($garden);
    }

    /** @return list<Fault> */
    public function faults(): array
    {
        $faults = $served = $taken = [];
        foreach ($this->plan->parts('supply') as $supply) {
            $item = $supply->text('item');
            foreach ($supply->parts('days') as $row) {
                $slot = $row->day('day').'/'.(int) $row->number('reach_days');
                $served[$item][$slot] = (int) $row->number('served');
                $faults = [...$faults, ...$this->row($item, $slot, $row)];
                foreach ($row->numbers('from') as $key => $units) {
                    $taken[$key][] = [$row->day('day') ?? 0, (int) $row->number('reach_days'), (int) $units];
                }
            }
        }
        foreach ($this->needs as $item => $slots) {
            foreach (array_keys(array_diff_key($slots, $served[$item] ?? [])) as $slot) {
                $faults[] = new Fault(FaultKind::NeedMissing, self::where($item, $slot),
                    'Something is promised then, and the plan does not mention it.');
            }
        }

        return [...$faults, ...$this->sources($taken), ...$this->shortages($served), ...$this->share($served)];
    }

    /** @return list<Fault> */
    private function row(string $item, string $slot, Sheet $row): array
    {
        $asked = $this->needs[$item][$slot] ?? null;
        $where = self::where($item, $slot);
        if (null === $asked) {
            return [new Fault(FaultKind::NeedUnknown, $where, 'Nothing is promised then.')];
        }
        $faults = [];
        if (array_sum($asked) !== (int) $row->number('promised')) {
            $faults[] = new Fault(FaultKind::NeedWrong, $where, \sprintf('%d are needed, packing loss included; the plan says %d.',
                array_sum($asked), $row->number('promised')));
        }
        if ($row->number('served') < 0 || (int) $row->number('served') > array_sum($asked)) {
            $faults[] = new Fault(FaultKind::ServedTooMuch, $where, 'More is served than is needed.');
        }
        if ((int) $row->number('served') !== (int) array_sum($row->numbers('from'))) {
            $faults[] = new Fault(FaultKind::ServedWithoutSource, $where, \sprintf('%d are served, the plantings named give %d.',
                $row->number('served'), array_sum($row->numbers('from'))));
        }
        foreach (array_keys($row->numbers('from')) as $key) {
            if ([] === array_filter($this->plantings, static fn (Sheet $p): bool => $p->text('key') === $key
                && $p->text('item') === $item)) {
                $faults[] = new Fault(FaultKind::UnknownSource, $where, \sprintf('"%s" is no planting of this crop.', $key));
            }
        }

        return $faults;
    }

    /**
     * @param array<string, list<array{int, int, int}>> $taken by planting: day, reach, units
     *
     * @return list<Fault>
     */
    private function sources(array $taken): array
    {
        $faults = [];
        foreach ($this->plantings as $planting) {
            $key = $planting->text('key');
            if (!isset($taken[$key]) || !$this->book->has($planting->text('item'))) {
                continue;
            }
            $crop = $this->book->grown($planting->text('item'), $planting->text('variety'));
            $lots = Harvests::of($this->late->dated($planting, $crop), $crop);
            $left = array_column($lots, 'units');
            foreach ($taken[$key] as [$day, $reach, $units]) {
                $usable = array_keys(array_filter($lots, static fn (array $lot): bool => $lot['from'] <= $day
                    && $day <= $lot['to'] + $reach));
                foreach ($usable as $i) {
                    $sound = self::sound($crop, $lots[$i]['from'], $day);
                    $take = min($units, (int) floor($left[$i] * $sound + 1e-6));
                    $left[$i] -= $take / $sound;
                    $units -= $take;
                }
                if ($units > 0) {
                    $faults[] = [] === $usable ? new Fault(FaultKind::TooEarlyOrTooOld, $key,
                        \sprintf('Nothing of it is fit to sell on %s.', Day::of($day)->iso())) : new Fault(FaultKind::MoreThanItGives,
                            $key, \sprintf('%d units too many are taken from it by %s.', $units, Day::of($day)->iso()));
                }
            }
        }

        return $faults;
    }

    /** What waits shrinks by the weekly loss. */
    private static function sound(Crop $crop, int $from, int $day): float
    {
        return (1 - $crop->produce->weeklyLoss) ** (max(0, $day - $from) / 7);
    }

    /**
     * The outlet served last goes short first.
     *
     * @param array<string, array<string, int>> $served
     *
     * @return list<Fault>
     */
    private function shortages(array $served): array
    {
        $expected = [];
        foreach ($this->needs as $item => $slots) {
            foreach ($slots as $slot => $byOutlet) {
                $left = $served[$item][$slot] ?? 0;
                foreach ((int) $slot < $this->today ? [] : $byOutlet as $outlet => $wanted) {
                    $gets = min($wanted, max(0, $left));
                    $left -= $gets;
                    if ($gets < $wanted) {
                        $expected[$item.' to '.$outlet.' on '.Day::of((int) $slot)->iso()] = $wanted - $gets;
                    }
                }
            }
        }
        $told = [];
        foreach ($this->plan->parts('short') as $short) {
            $told[$short->text('item').' to '.$short->text('outlet').' on '.$short->text('day')] = (int) $short->number('units');
        }
        $faults = [];
        foreach ($expected as $where => $units) {
            if (($told[$where] ?? 0) !== $units) {
                $faults[] = new Fault(FaultKind::ShortageHidden, $where, \sprintf('%d are short, the plan says %d.', $units,
                    $told[$where] ?? 0));
            }
        }
        foreach (array_diff_key($told, $expected) as $where => $units) {
            $faults[] = new Fault(FaultKind::ShortageUnknown, $where, \sprintf('The plan says %d are short; none are.', $units));
        }

        return $faults;
    }

    /**
     * @param array<string, array<string, int>> $served
     *
     * @return list<Fault>
     */
    private function share(array $served): array
    {
        $wanted = $short = 0;
        foreach ($this->needs as $item => $slots) {
            foreach ($slots as $slot => $byOutlet) {
                if ((int) $slot >= $this->today) {
                    $wanted += array_sum($byOutlet);
                    $short += max(0, array_sum($byOutlet) - ($served[$item][$slot] ?? 0));
                }
            }
        }
        $share = $wanted > 0 ? 1 - $short / $wanted : 1.0;

        return abs($share - $this->plan->number('promises_kept')) <= self::SHARE_TOLERANCE ? []
            : [new Fault(FaultKind::ShareWrong, 'promises_kept', \sprintf('%.4f of the promised units are kept, the plan says %.4f.',
                $share, $this->plan->number('promises_kept')))];
    }

    private static function where(string $item, string $slot): string
    {
        return $item.' on '.Day::of((int) $slot)->iso();
    }
}
