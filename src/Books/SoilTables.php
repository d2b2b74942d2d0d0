<?php

declare(strict_types=1);

namespace App\Books;

use App\Codec\Node;
use App\Codec\UnusableFile;
use App\Shared\Faults;
use JollyFurrow\Feed\CropNeed;
use JollyFurrow\Feed\FeedCalendar;
use JollyFurrow\Feed\FeedPart;
use JollyFurrow\Feed\FeedRule;
use JollyFurrow\Feed\NeedTable;
use JollyFurrow\Irrigation\CropWater;
use JollyFurrow\Irrigation\WaterTable;
use JollyFurrow\Work\CarePoint;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\SourceKind;
use Symfony\Component\Yaml\Yaml;

/** What ships of feeding and water: data/needs.csv, data/feeding.yaml, data/water.csv. */
final readonly class SoilTables
{
    private const MOST = 100;

    public function __construct(private string $folder)
    {
    }

    /** @throws UnusableFile naming every field that is wrong */
    public function needs(): NeedTable
    {
        return new NeedTable(CsvTable::rows($this->folder.'/needs.csv',
            static fn (Node $n): CropNeed => new CropNeed($n->text('key', 60), $n->text('name',
                80),
                CsvTable::words($n->text('crops', 500, '/^/')), CsvTable::numbers($n, 'n', 7), CsvTable::numbers($n, 'p2o5', 5),
                CsvTable::numbers($n, 'k2o',
                    5),
                self::source($n))));
    }

    /** @throws UnusableFile */
    public function water(): WaterTable
    {
        return new WaterTable(CsvTable::rows($this->folder.'/water.csv',
            static fn (Node $n): CropWater => new CropWater($n->text('key', 60),
                CsvTable::words($n->text('crops', 500, '/^/')), CsvTable::number($n, 'kc_begin', 2), CsvTable::number($n, 'kc_full', 2),
                CsvTable::number($n, 'kc_end', 2), CsvTable::number($n, 'root_m', 3), CsvTable::number($n, 'depletion', 1),
                (int) CsvTable::number($n, 'dry_off_days', 60), self::source($n))));
    }

    /** @throws UnusableFile */
    public function calendar(): FeedCalendar
    {
        $faults = new Faults();
        $values = Yaml::parseFile($this->folder.'/feeding.yaml');
        $rules = [];
        foreach (\is_array($values) ? $values : [] as $key => $value) {
            $node = new Node(\is_array($value) ? $value : [], (string) $key, $faults);
            $rules[] = new FeedRule($node->has('crops') ? $node->texts('crops', self::MOST, 60) : [], $node->has('classes')
                ? $node->texts('classes', 4, 20) : [], array_values(array_map(self::part(...), $node->objects('parts', 6))));
        }
        if ($faults->areThere()) {
            throw UnusableFile::with($faults);
        }

        return new FeedCalendar($rules);
    }

    private static function part(Node $node): FeedPart
    {
        return new FeedPart($node->text('name', 60), $node->choice('from', CarePoint::class), $node->has('after') ? $node->int('after', -30,
            400) : null, $node->has('share') ? $node->float('share', 0, 2) : 0.0, $node->float('part', 0.01, 1), $node->has('every')
            ? $node->int('every', 1, 120) : null, $node->has('until') ? $node->float('until', 0, 3) : 1.0,
            $node->has('nth') ? $node->int('nth', 1, 12) : 1);
    }

    private static function source(Node $node): Source
    {
        return Source::of($node->choice('source', SourceKind::class), $node->text('note', 300));
    }
}
