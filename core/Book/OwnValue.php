<?php

declare(strict_types=1);

namespace JollyFurrow\Book;

/** One value of a crop or variety that is the garden's own; as text, for the book reads and limits it. */
final readonly class OwnValue
{
    public function __construct(public string $crop, public string $name, public string $is, public string $note = '')
    {
    }

    /** @return array{crop: string, value: string, is: string, source: string, note: string} as a row of the book */
    public function row(): array
    {
        return ['crop' => $this->crop, 'value' => $this->name, 'is' => $this->is, 'source' => 'garden', 'note' => $this->note];
    }
}
