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
        return new NeedTable($this->rows('needs.csv', static fn (Node $n): CropNeed => new CropNeed($n->text('key', 60), $n->text('name',
            80),
            self::words($n->text('crops', 500, '/^/')), self::numbers($n, 'n', 7), self::numbers($n, 'p2o5', 5), self::numbers($n, 'k2o',
                5),
            self::source($n))));
    }

    /** @throws UnusableFile */
    public function water(): WaterTable
    {
        return new WaterTable($this->rows('water.csv', static fn (Node $n): CropWater => new CropWater($n->text('key', 60),
            self::words($n->text('crops', 500, '/^/')), self::number($n, 'kc_begin', 2), self::number($n, 'kc_full', 2),
            self::number($n, 'kc_end', 2), self::number($n, 'root_m', 3), self::number($n, 'depletion', 1),
            (int) self::number($n, 'dry_off_days', 60), self::source($n))));
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

    /**
     * @template T
     *
     * @param \Closure(Node): T $read
     *
     * @return list<T>
     */
    private function rows(string $name, \Closure $read): array
    {
        $faults = new Faults();
        $file = new \SplFileObject($this->folder.'/'.$name);
        $head = null;
        $rows = [];
        while (!$file->eof()) {
            $cells = $file->fgetcsv(',', '"', '');
            if (!\is_array($cells) || [null] === $cells) {
                continue;
            }
            if (null === $head) {
                $head = array_map(strval(...), $cells);
                continue;
            }
            $rows[] = $read(new Node(array_combine($head, $cells), $name.' '.$cells[0], $faults));
        }
        if ($faults->areThere()) {
            throw UnusableFile::with($faults);
        }

        return $rows;
    }

    private static function source(Node $node): Source
    {
        return Source::of($node->choice('source', SourceKind::class), $node->text('note', 300));
    }

    /** @return list<string> */
    private static function words(string $text): array
    {
        return '' === trim($text) ? [] : explode(' ', trim($text));
    }

    private static function number(Node $node, string $field, float $most): float
    {
        $text = $node->text($field, 10);
        if (!is_numeric($text) || (float) $text < 0.0 || (float) $text > $most) {
            $node->fault($field, 'is no number that fits.');

            return 0.0;
        }

        return (float) $text;
    }

    /** @return list<float> */
    private static function numbers(Node $node, string $field, int $count): array
    {
        $words = self::words($node->text($field, 80));
        if (\count($words) !== $count || [] !== array_filter($words, static fn (string $w): bool => !is_numeric($w))) {
            $node->fault($field, \sprintf('must be %d numbers.', $count));

            return array_fill(0, $count, 0.0);
        }

        return array_map(floatval(...), $words);
    }
}
