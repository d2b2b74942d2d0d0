<?php

declare(strict_types=1);

namespace App\Books;

use App\Codec\Node;
use App\Codec\UnusableFile;
use JollyFurrow\Pick\Cooling;
use JollyFurrow\Pick\PickTable;
use JollyFurrow\Pick\PickTraits;
use JollyFurrow\Storage\Curing;
use JollyFurrow\Storage\Ethylene;
use JollyFurrow\Storage\KeepTable;
use JollyFurrow\Storage\KeepTraits;

/** What ships of keeping: data/keeping.csv beside the book's own values. */
final readonly class StoreTables
{
    public function __construct(private string $folder)
    {
    }

    /** @throws UnusableFile naming every field that is wrong */
    public function keeping(): KeepTable
    {
        return new KeepTable(CsvTable::rows($this->folder.'/keeping.csv', static fn (Node $n): KeepTraits => new KeepTraits(
            $n->text('key', 40), CsvTable::words($n->text('crops', 500)), $n->choice('makes', Ethylene::class),
            $n->choice('suffers', Ethylene::class), self::curing($n), (int) CsvTable::number($n, 'good_from', 200),
            'yes' === $n->text('sprouts', 3), CsvTable::number($n, 'crate', 1000))));
    }

    /** @throws UnusableFile naming every field that is wrong */
    public function picking(): PickTable
    {
        return new PickTable(CsvTable::rows($this->folder.'/picking.csv', static fn (Node $n): PickTraits => new PickTraits(
            $n->text('key', 40), CsvTable::words($n->text('crops', 500)), max(1.0, CsvTable::number($n, 'pick', 5000)),
            max(1.0, CsvTable::number($n, 'clean', 5000)), $n->choice('cool', Cooling::class), 'yes' === $n->text('wet', 3))));
    }

    /** "27/60/14..20": degrees C, per cent, days. */
    private static function curing(Node $node): ?Curing
    {
        $text = $node->text('cure', 20, '/^(\d+\/\d+\/\d+\.\.\d+)?$/');

        return 4 === sscanf($text, '%d/%d/%d..%d', $celsius, $humidity, $least, $most)
            ? new Curing((float) $celsius, (int) $humidity, (int) $least, (int) $most) : null;
    }
}
