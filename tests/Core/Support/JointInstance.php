<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Support;

use JollyFurrow\Check\Sheet;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Joint\JointPlan;
use JollyFurrow\Joint\JointPlanner;
use JollyFurrow\Joint\NoProgress;
use JollyFurrow\Joint\Progress;
use JollyFurrow\Land\Bed;
use JollyFurrow\Measure\Length;
use JollyFurrow\Need\Item;
use JollyFurrow\Need\Need;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Succession\Grid;
use JollyFurrow\Succession\ItemPlanner;
use JollyFurrow\Succession\Rooms;
use JollyFurrow\Succession\Wanted;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Ways\Candidate;

/** One garden of tests/fixtures/joint: what is wanted, in plain numbers, and the bound that was proved. */
final readonly class JointInstance
{
    private function __construct(private Sheet $sheet, public int $seed, public float $bound)
    {
    }

    /** @return list<self> */
    public static function all(): array
    {
        $json = (string) gzdecode((string) file_get_contents(__DIR__.'/../../fixtures/joint/instances.json.gz'));

        return array_map(static fn (Sheet $one): self => new self($one, (int) $one->number('seed'), $one->number('bound')),
            (new Sheet(['all' => json_decode($json, true)]))->parts('all'));
    }

    public function planned(Progress $progress = new NoProgress()): JointPlan
    {
        [$grid, $metres, $rents] = $this->ground();

        return (new JointPlanner(new ItemPlanner($grid, $metres), $grid, $this->rooms($grid), $rents))->draw($this->wanted(), $progress);
    }

    public function rooms(?Grid $grid = null): Rooms
    {
        [$usual, $metres] = $this->ground();

        return new Rooms((int) $this->sheet->number('first'), array_map(fn (float $m): array => array_fill(0,
            7 * (int) $this->sheet->number('weeks'), $m), $metres), $grid ?? $usual);
    }

    /** @return array{Grid, array<string, float>, array<string, array<int, float>>} */
    private function ground(): array
    {
        $metres = $this->sheet->numbers('metres');
        $rents = $beds = [];
        foreach (PlaceType::cases() as $n => $place) {
            $rents[$place->value] = array_fill(0, (int) $this->sheet->number('weeks'), array_values($this->sheet->numbers('rent'))[$n]);
            $beds[] = new Bed($place->value, 'A', $n, Length::fromMetres($this->sheet->number('step') * 4 / 1000),
                Length::fromCentimetres(75), Length::fromCentimetres(45), $place);
        }
        $day = MonthDay::parse('05-10');

        return [Grid::of(new Garden('', Day::of(0), new Place('', 47, 0, $day, $day), Settings::usual(), ['A'], $beds, [], [], [], [],
            [])), $metres, $rents];
    }

    /** @return array<string, Wanted> */
    private function wanted(): array
    {
        $wanted = [];
        foreach ($this->sheet->parts('items') as $one) {
            $key = $one->text('key');
            $wanted[$key] = new Wanted(
                new Item($key, $one->isTrue('stock'), $one->isTrue('stored'), $one->number('loss'), $one->number('penalty'),
                    $one->number('keeping')),
                array_map(static fn (Sheet $n): Need => new Need((int) $n->number('0'), (int) $n->number('1'), (int) $n->number('2'),
                    []), $one->parts('needs')),
                array_map(static fn (Sheet $c): Candidate => self::candidate($key, $c), $one->parts('candidates')),
            );
        }

        return $wanted;
    }

    private static function candidate(string $item, Sheet $c): Candidate
    {
        $curve = [];
        foreach ($c->parts('10') as $point) {
            $curve[(int) $point->number('0')] = $point->number('1');
        }

        return new Candidate($item, Method::from($c->text('0')), PlaceType::from($c->text('1')), '', (int) $c->number('2'),
            (int) $c->number('3'), (int) $c->number('4'), (int) $c->number('5'), (int) $c->number('6'), $c->number('7'),
            $c->number('8'), $c->number('9'), $curve);
    }
}
