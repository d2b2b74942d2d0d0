<?php

declare(strict_types=1);

namespace App\Books;

use App\Codec\Node;
use App\Codec\UnusableFile;
use JollyFurrow\Pick\Cooling;
use JollyFurrow\Pick\PickTable;
use JollyFurrow\Pick\PickTraits;
use JollyFurrow\Readiness\HarvestUse;
use JollyFurrow\Readiness\ReadinessCard;
use JollyFurrow\Readiness\ReadinessTable;
use JollyFurrow\Storage\Curing;
use JollyFurrow\Storage\Ethylene;
use JollyFurrow\Storage\KeepTable;
use JollyFurrow\Storage\KeepTraits;

/** What ships of harvest and keeping beside the book's own values: data/keeping.csv, picking.csv, readiness.csv. */
final readonly class StoreTables
{
    private const ANY = '/^.*$/u';

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

    /** @throws UnusableFile naming every field that is wrong */
    public function readiness(): ReadinessTable
    {
        return new ReadinessTable(CsvTable::rows($this->folder.'/readiness.csv', static fn (Node $n): ReadinessCard => new ReadinessCard(
            $n->text('key', 40), CsvTable::words($n->text('crops', 500)), $n->choice('use', HarvestUse::class),
            (int) CsvTable::number($n, 'sale_days', 60), CsvTable::number($n, 'from', 1), $n->text('sign', 120, self::ANY),
            $n->text('size', 80, self::ANY), $n->text('feel', 80, self::ANY), $n->text('cut', 120, self::ANY))));
    }

    /** "27/60/14..20": degrees C, per cent, days. */
    private static function curing(Node $node): ?Curing
    {
        $text = $node->text('cure', 20, '/^(\d+\/\d+\/\d+\.\.\d+)?$/');

        return 4 === sscanf($text, '%d/%d/%d..%d', $celsius, $humidity, $least, $most)
            ? new Curing((float) $celsius, (int) $humidity, (int) $least, (int) $most) : null;
    }
}
