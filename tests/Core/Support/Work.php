<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Support;

use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Diary\Bears;
use JollyFurrow\Diary\TaskId;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Job\PlacedTask;
use JollyFurrow\Job\Placing;
use JollyFurrow\Measure\Length;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\SoilDays;
use JollyFurrow\Task\Task;
use JollyFurrow\Task\TaskBook;
use JollyFurrow\Task\TaskFacts;
use JollyFurrow\Task\TaskKind;
use JollyFurrow\Task\YearlyJob;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Work\CareCalendar;
use JollyFurrow\Work\CarePoint;
use JollyFurrow\Work\CareRule;
use JollyFurrow\Working\Source;

/** Work of known sizes, without the application. */
final class Work
{
    /**
     * One hour whatever its size, two days early, four to wait; half of the harvest at stake.
     *
     * @param list<string> $soaked
     */
    public static function book(array $soaked = []): TaskBook
    {
        $facts = [];
        foreach (TaskKind::cases() as $kind) {
            $facts[$kind->value] = new TaskFacts(\in_array($kind, [TaskKind::SowBed, TaskKind::Weed, TaskKind::Paths], true) ? Bears::Dry
                : Bears::Any, 1.0, 0.0, 0.0, 0.0, 2, 4, 0.5, Source::practice());
        }

        return new TaskBook($facts, [new YearlyJob('sharpen', 'Sharpen', MonthDay::parse('02-10'), 3.0, Bears::Roof, 28)], $soaked);
    }

    /** @return list<CareRule> a weed pass ten days after emergence and every twelve, and strings once */
    public static function care(): array
    {
        return [
            new CareRule('weed-pass', 'Weed pass', CarePoint::Emergence, 10, 0.0, 12, 1.0, [], [], [], [], 0, 2.0, 'wire hoe',
                Source::practice(), isOnBareSoil: true),
            new CareRule('strings', 'Put up strings', CarePoint::Ground, 3, 0.0, null, 1.0, [], [], [Method::Transplanted->value], [], 0,
                4.0, 'hands', Source::practice()),
        ];
    }

    /** @param list<string> $soaked */
    public static function site(Garden $garden, ?SoilDays $weather = null, array $soaked = [], ?CropBook $crops = null): Site
    {
        $crops ??= Book::crops();

        return new Site($garden, $crops, Book::recipes(), self::book($soaked), new CareCalendar($garden, $crops, Book::recipes(),
            self::care()), $weather ?? SoilDays::unknown());
    }

    /** @param array<string, float> $mm by day */
    public static function rain(array $mm, ?Day $today = null): SoilDays
    {
        $row = static fn (string $day, float $rain): array => [Day::parse($day)->number, 10.0, 20.0, $rain];
        $rows = array_map($row, array_keys($mm), $mm);
        $isPast = static fn (array $r): bool => null !== $today && $r[0] < $today->number;

        return new SoilDays(DailyRecord::fromRows(array_filter($rows, $isPast)),
            DailyRecord::fromRows(array_filter($rows, static fn (array $r): bool => !$isPast($r))));
    }

    /** Due on a day, with two days before and four after it. */
    public static function task(string $due, Bears $bears = Bears::Any, TaskKind $kind = TaskKind::Care, string $step = 'x/1',
        float $hours = 2.0, float $cents = 0.0, int $wait = 4, bool $isTakenOver = false, ?string $doneOn = null, string $block = 'A'): Task
    {
        $day = Day::parse($due);

        return new Task(TaskId::ofPlanting('beet@2026-03-02#1', $step), $kind, 'Care', null, $block, [], Length::fromMetres(10), $day,
            $day->plus(-2), $day->plus($wait), $hours, $bears, '', '', $cents, doneOn: null === $doneOn ? null : Day::parse($doneOn),
            isTakenOver: $isTakenOver);
    }

    public static function placed(Task $task, string $today, ?SoilDays $weather = null): PlacedTask
    {
        return (new Placing(Day::parse($today), $weather ?? SoilDays::unknown(), []))->place($task);
    }
}
