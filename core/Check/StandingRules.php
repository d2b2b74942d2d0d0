<?php

declare(strict_types=1);

namespace JollyFurrow\Check;

/** What a plan must leave as it is, and that every planting has a name of its own. */
final readonly class StandingRules
{
    /** Work of so many days ahead is not planned anew. */
    private const FROZEN_DAYS = 21;

    public function __construct(private Sheet $garden, private Sheet $plan)
    {
    }

    /** @return list<Sheet> what would stand and be planned: the kept plantings of the garden and the new ones */
    public function plantings(): array
    {
        $kept = array_flip($this->plan->texts('kept'));

        return [...array_values(array_filter($this->garden->parts('plantings'), static fn (Sheet $p): bool => isset($kept[$p->text('key')]))), ...$this->plan->parts('plantings')];
    }

    /** @return list<Fault> */
    public function faults(): array
    {
        $faults = [];
        $known = [];
        $kept = array_flip($this->plan->texts('kept'));
        foreach ($this->garden->parts('plantings') as $planting) {
            $key = $planting->text('key');
            $known[$key] = true;
            if (!isset($kept[$key]) && $this->stays($planting)) {
                $faults[] = new Fault(FaultKind::NotLeftAlone, $key,
                    'It is begun, locked, or its work lies within three weeks, and the plan does not keep it.');
            }
        }
        foreach (array_keys(array_diff_key($kept, $known)) as $key) {
            $faults[] = new Fault(FaultKind::KeptUnknown, (string) $key, 'The plan keeps a planting the garden does not have.');
        }
        $seen = $kept;
        foreach ($this->plan->parts('plantings') as $planting) {
            $key = $planting->text('key');
            if (isset($seen[$key]) || '' === $key) {
                $faults[] = new Fault(FaultKind::NameTwice, $key, 'Another planting has this name, or it has none.');
            }
            $seen[$key] = 0;
            if ('planned' !== $planting->text('standing') || $planting->isTrue('locked')) {
                $faults[] = new Fault(FaultKind::NotPlanned, $key, 'A planting just drawn up is planned and not locked.');
            }
        }

        return $faults;
    }

    private function stays(Sheet $planting): bool
    {
        $first = min($planting->day('sow') ?? 0, $planting->day('bed_start') ?? 0);

        return 'planned' !== $planting->text('standing') || $planting->isTrue('locked')
            || $first < ($this->garden->day('today') ?? 0) + self::FROZEN_DAYS;
    }
}
