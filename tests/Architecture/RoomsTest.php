<?php

declare(strict_types=1);

namespace JollyFurrow\Architecture;

use PHPUnit\Framework\TestCase;

/** Rooms of core and src stand in one order: each uses only rooms before it. docs/architecture.md draws it. */
final class RoomsTest extends TestCase
{
    public function testPrintsTheRooms(): void
    {
        foreach (['core' => 'JollyFurrow', 'src' => 'App'] as $folder => $root) {
            fwrite(\STDOUT, "\n$folder: ".Rooms::below(\dirname(__DIR__, 2).'/'.$folder, $root)->told()."\n");
        }
        self::expectNotToPerformAssertions();
    }
}
