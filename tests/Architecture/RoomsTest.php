<?php

declare(strict_types=1);

namespace JollyFurrow\Architecture;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Rooms of core and src stand in one order: each uses only rooms before it. docs/architecture.md draws it. */
final class RoomsTest extends TestCase
{
    private const CORE = [
        'Exception', 'Odds', 'Message', 'Measure', 'Time', 'Working', 'Shelter', 'Climate', 'Growth', 'Crop', 'Book', 'Maturity', 'Land',
            'Map',
        'Promise', 'Planting', 'Recipe', 'Harvest', 'Nursery', 'Soil', 'Shed', 'Readiness', 'Storage', 'Treatment', 'Sale', 'Diary',
            'Garden',
            'Keep', 'Bench',
            'Seed', 'Season', 'Need',
        'Preparation', 'Ways', 'Supply', 'Stock', 'Market', 'Boxes', 'Forecast', 'Pick', 'Load',
            'Succession', 'Beds', 'Years', 'Joint', 'Plan', 'Proposal', 'Hand', 'Why', 'WhatIf', 'Ladder', 'Work',
            'Lime',
            'Feed', 'Purchase', 'Irrigation', 'Task',
        'Job', 'Laboratory', 'Practice', 'Paste', 'Check',
    ];
    private const SRC = [
        'Wording', 'Shared', 'Navigation', 'Form', 'Codec', 'Rows', 'Diary', 'Soil', 'Storage', 'Sale', 'Log', 'Links', 'Account', 'SignIn',
            'Books', 'Store',
            'File', 'Change',
        'Station', 'Climate', 'Crop', 'Promise', 'Proposal', 'Plan', 'Hand', 'Wall', 'Years', 'Map', 'Garden', 'Preparation', 'Record',
            'Lists',
            'TakeBack', 'WhatIf', 'Hands', 'Nursery', 'Seed', 'Job', 'Pick', 'Feed', 'Water', 'Lanes', 'Sheets', 'Harvest', 'Market',
                'Problems', 'Offline', 'Practice',
                'Find',
                'Demo',
    ];
    /** A room of more files than this wants dividing. */
    private const MOST_FILES = 22;

    /** @return iterable<string, array{string, string, list<string>}> */
    public static function trees(): iterable
    {
        yield 'core' => ['core', 'JollyFurrow', self::CORE];
        yield 'src' => ['src', 'App', self::SRC];
    }

    /** @param list<string> $order */
    #[DataProvider('trees')]
    public function testEachRoomUsesOnlyRoomsBeforeIt(string $folder, string $root, array $order): void
    {
        $rooms = Rooms::below(\dirname(__DIR__, 2).'/'.$folder, $root);
        fwrite(\STDOUT, "\nRooms of $folder: ".$rooms->told()."\n");
        self::assertSame([], $rooms->against($order), 'Arrows that point back. '.$rooms->told());
        self::assertEqualsCanonicalizing($order, array_keys($rooms->files),
            'rooms in the order that are not there, or the other way round');
        self::assertSame([], array_filter($rooms->files, static fn (int $files): bool => $files > self::MOST_FILES));
    }

    public function testAPlantedCircleIsSeen(): void
    {
        $rooms = Rooms::of([
            'core/Land/Bed.php' => "<?php\nnamespace JollyFurrow\\Land;\n",
            'core/Plan/Planner.php' => "<?php\nnamespace JollyFurrow\\Plan;\nuse JollyFurrow\\Land\\Bed;\nuse JollyFurrow\\Why\\Mending;\n",
            'core/Why/Mending.php' => "<?php\nnamespace JollyFurrow\\Why;\nfinal class Mending { public function of(\\JollyFurrow\\Plan\\Planner \$planner): void {} }\n",
        ], 'JollyFurrow');
        self::assertSame(['Land'], $rooms->order());
        self::assertSame(['Plan > Why: Planner > Mending'], $rooms->against(['Land', 'Plan', 'Why']));
        self::assertStringContainsString('in circles: Plan, Why', $rooms->told());
    }

    public function testARoomOutsideTheOrderIsSeen(): void
    {
        $rooms = Rooms::of(['core/Plan/Planner.php' => "<?php\nnamespace JollyFurrow\\Plan;\nuse JollyFurrow\\Moon\\Phase;\n"],
            'JollyFurrow');
        self::assertSame(['Plan > Moon: Planner > Phase'], $rooms->against(['Plan']));
    }
}
