<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Support;

use JollyFurrow\Check\Sheet;
use JollyFurrow\Succession\Kernel\CoverProblem;

/** One proved instance of tests/fixtures/cover. */
final readonly class CoverInstance
{
    private function __construct(private Sheet $sheet, public string $name, public float $proved)
    {
    }

    /** @return list<self> */
    public static function all(string $json): array
    {
        return array_map(static fn (Sheet $one): self => new self($one, $one->text('kind').', seed '.$one->number('seed'),
            $one->number('proved')), (new Sheet(['all' => json_decode($json, true)]))->parts('all'));
    }

    public function problem(int $effort): CoverProblem
    {
        $needs = $this->sheet->parts('need');
        $candidates = $this->sheet->parts('candidates');
        $count = \count($candidates);

        return new CoverProblem(
            array_map(static fn (Sheet $n): int => (int) $n->number('day'), $needs),
            array_map(static fn (Sheet $n): int => (int) $n->number('units'), $needs),
            array_fill(0, \count($needs), (int) $this->sheet->number('reach')),
            array_map(static fn (Sheet $c): array => self::curve($c), $candidates),
            array_map(static fn (Sheet $c): float => $c->number('setUp'), $candidates),
            array_map(static fn (Sheet $c): float => $c->number('perMetre'), $candidates),
            array_fill(0, $count, $this->sheet->number('stepMetres')),
            1,
            array_fill(0, $count, (int) $this->sheet->number('maxSteps')),
            $this->sheet->number('penalty'),
            $effort,
        );
    }

    /** @return array<int, float> */
    private static function curve(Sheet $candidate): array
    {
        $curve = [];
        foreach ($candidate->parts('curve') as $point) {
            $curve[(int) $point->number('0')] = $point->number('1');
        }

        return $curve;
    }
}
