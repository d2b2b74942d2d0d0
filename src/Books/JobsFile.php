<?php

declare(strict_types=1);

namespace App\Books;

use App\Codec\Node;
use App\Codec\UnusableFile;
use App\Shared\Faults;
use JollyFurrow\Diary\Bears;
use JollyFurrow\Task\TaskBook;
use JollyFurrow\Task\TaskFacts;
use JollyFurrow\Task\TaskKind;
use JollyFurrow\Task\YearlyJob;
use JollyFurrow\Working\Source;
use Symfony\Component\Yaml\Yaml;

/** What ships of the kinds of jobs: data/jobs.yaml. */
final readonly class JobsFile
{
    public function __construct(private string $path, private StoreTables $tables)
    {
    }

    /** @throws UnusableFile naming every field that is wrong */
    public function load(): TaskBook
    {
        $faults = new Faults();
        $values = Yaml::parseFile($this->path);
        $root = new Node(\is_array($values) ? $values : [], '', $faults);
        $kinds = $root->object('kinds');
        $facts = [];
        foreach (TaskKind::cases() as $kind) {
            $facts[$kind->value] = self::facts($kinds->object($kind->value));
        }
        $yearly = [];
        foreach (\is_array($values) && \is_array($values['yearly'] ?? null) ? array_keys($values['yearly']) : [] as $key) {
            $node = $root->object('yearly')->object((string) $key);
            $yearly[] = new YearlyJob((string) $key, $node->text('words', 80), $node->monthDay('on'), $node->float('hours', 0, 100),
                $node->choice('bears', Bears::class), $node->int('wait', 0, 90));
        }
        $soaked = $root->texts('soaked', 100, 60);
        if ($faults->areThere()) {
            throw UnusableFile::with($faults);
        }

        return new TaskBook($facts, $yearly, $soaked, $this->tables->picking());
    }

    private static function facts(Node $node): TaskFacts
    {
        $hours = static fn (string $field): float => $node->has($field) ? $node->float($field, 0, 100) : 0.0;
        $days = static fn (string $field): int => $node->has($field) ? $node->int($field, 0, 90) : 0;

        return new TaskFacts($node->choice('bears', Bears::class), $hours('once'), $hours('per_100m') / 100, $hours('per_tray'),
            $hours('per_unit'), $days('early'), $days('wait'), $node->float('miss', 0, 1), Source::practice());
    }
}
