<?php

declare(strict_types=1);

namespace App\Books;

use JollyFurrow\Book\BookReader;
use JollyFurrow\Crop\CropBook;

/** The crop book that ships with the application: data/crops.csv, one value a row. */
final readonly class CropBookFile
{
    private const COLUMNS = ['crop', 'value', 'is', 'source', 'note'];

    public function __construct(private string $path)
    {
    }

    /** Another one whenever the file is another. */
    public function version(): string
    {
        return (string) md5_file($this->path);
    }

    public function load(): CropBook
    {
        return (new BookReader())->read($this->rows());
    }

    /** @return list<array{crop: string, value: string, is: string, source: string, note: string}> */
    public function all(): array
    {
        return iterator_to_array($this->rows(), false);
    }

    /** @return \Generator<array{crop: string, value: string, is: string, source: string, note: string}> */
    private function rows(): \Generator
    {
        $file = new \SplFileObject($this->path);
        $file->setFlags(\SplFileObject::READ_CSV | \SplFileObject::SKIP_EMPTY | \SplFileObject::READ_AHEAD | \SplFileObject::DROP_NEW_LINE);
        $file->setCsvControl(',', '"', '');
        foreach ($file as $number => $row) {
            if (!\is_array($row) || \count($row) !== \count(self::COLUMNS)) {
                throw new \RuntimeException(\sprintf('%s, line %d: %d columns are wanted.', basename($this->path), $number + 1, \count(self::COLUMNS)));
            }
            if (0 !== $number) {
                [$crop, $value, $is, $source, $note] = array_map(static fn (mixed $v): string => \is_scalar($v) ? (string) $v : '',
                    array_values($row));
                yield ['crop' => $crop, 'value' => $value, 'is' => $is, 'source' => $source, 'note' => $note];
            }
        }
    }
}
