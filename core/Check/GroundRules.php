<?php

declare(strict_types=1);

namespace JollyFurrow\Check;

/** Real beds: there, long enough, of the right place type, and never two plantings on one stretch. */
final readonly class GroundRules
{
    private const WIDTH_TOLERANCE = 1.0001;

    /** @var array<string, Sheet> */
    private array $beds;

    public function __construct(Sheet $garden)
    {
        $beds = [];
        foreach ($garden->parts('beds') as $bed) {
            $beds[$bed->text('name')] = $bed;
        }
        $this->beds = $beds;
    }

    /**
     * @param list<Sheet> $plantings
     *
     * @return list<Fault>
     */
    public function faults(array $plantings): array
    {
        $faults = [];
        $taken = [];
        foreach ($plantings as $planting) {
            $key = $planting->text('key');
            if ([] === $planting->parts('pieces')) {
                $faults[] = new Fault(FaultKind::NoGround, $key, 'It stands on no bed.');
            }
            foreach ($planting->parts('pieces') as $piece) {
                $faults = [...$faults, ...$this->piece($planting, $piece)];
                foreach ($taken[$piece->text('bed')] ?? [] as [$other, $theirs]) {
                    if (self::meet($planting, $piece, $other, $theirs)) {
                        $faults[] = new Fault(FaultKind::GroundTaken, $key,
                            \sprintf('%s stands on the same stretch of bed %s at the same time.', $other->text('key'),
                                $piece->text('bed')));
                    }
                }
                $taken[$piece->text('bed')][] = [$planting, $piece];
            }
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function piece(Sheet $planting, Sheet $piece): array
    {
        $key = $planting->text('key');
        $bed = $this->beds[$piece->text('bed')] ?? null;
        if (null === $bed) {
            return [new Fault(FaultKind::NoSuchBed, $key, \sprintf('There is no bed "%s".', $piece->text('bed')))];
        }
        $faults = [];
        if ($piece->number('from_mm') < 0 || $piece->number('to_mm') <= $piece->number('from_mm')
            || $piece->number('to_mm') > $bed->number('length_mm')) {
            $faults[] = new Fault(FaultKind::BeyondBed, $key, \sprintf('From %d to %d mm is no stretch of bed %s of %d mm.',
                $piece->number('from_mm'), $piece->number('to_mm'), $bed->text('name'), $bed->number('length_mm')));
        }
        if ($bed->text('place') !== $planting->text('place')) {
            $faults[] = new Fault(FaultKind::WrongPlace, $key, \sprintf('Bed %s is %s, the planting is for %s.', $bed->text('name'),
                $bed->text('place'), $planting->text('place')));
        }

        return $faults;
    }

    private static function meet(Sheet $one, Sheet $piece, Sheet $other, Sheet $theirs): bool
    {
        return $piece->number('from_mm') < $theirs->number('to_mm') && $theirs->number('from_mm') < $piece->number('to_mm')
            && $piece->number('width_share') + $theirs->number('width_share') > self::WIDTH_TOLERANCE
            && ($one->day('bed_start') ?? 0) <= ($other->day('clear') ?? 0) && ($other->day('bed_start') ?? 0) <= ($one->day('clear') ?? 0);
    }
}
