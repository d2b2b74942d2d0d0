<?php

declare(strict_types=1);

namespace App\Books;

use App\Codec\Node;
use App\Codec\UnusableFile;
use App\Shared\Faults;

/** A table that ships as CSV, read row by row; what is wrong in it is named by row and column. */
final class CsvTable
{
    /**
     * @template T
     *
     * @param \Closure(Node): T $read
     *
     * @return list<T>
     *
     * @throws UnusableFile
     */
    public static function rows(string $path, \Closure $read): array
    {
        $faults = new Faults();
        $file = new \SplFileObject($path);
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
            $rows[] = $read(new Node(array_combine($head, $cells), basename($path).' '.$cells[0], $faults));
        }
        if ($faults->areThere()) {
            throw UnusableFile::with($faults);
        }

        return $rows;
    }

    /** @return list<string> */
    public static function words(string $text): array
    {
        return '' === trim($text) ? [] : explode(' ', trim($text));
    }

    public static function number(Node $node, string $field, float $most): float
    {
        $text = $node->text($field, 10);
        if (!is_numeric($text) || (float) $text < 0.0 || (float) $text > $most) {
            $node->fault($field, 'is no number that fits.');

            return 0.0;
        }

        return (float) $text;
    }

    /** @return list<float> */
    public static function numbers(Node $node, string $field, int $count): array
    {
        $words = self::words($node->text($field, 80));
        if (\count($words) !== $count || [] !== array_filter($words, static fn (string $w): bool => !is_numeric($w))) {
            $node->fault($field, \sprintf('must be %d numbers.', $count));

            return array_fill(0, $count, 0.0);
        }

        return array_map(floatval(...), $words);
    }
}
