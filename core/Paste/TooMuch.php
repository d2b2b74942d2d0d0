<?php

declare(strict_types=1);

namespace JollyFurrow\Paste;

use JollyFurrow\Exception\BadInput;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Message\Message;
use JollyFurrow\Message\Refusal;

/** A list or sheet is larger than any that is meant. */
final class TooMuch extends \LengthException implements BadInput, Refusal
{
    private function __construct(private readonly Message $said)
    {
        parent::__construct($said->logged());
    }

    public static function rows(int $most): self
    {
        return new self(Message::of(TooLarge::Rows, most: $most));
    }

    public static function columns(int $line, int $most): self
    {
        return new self(Message::of(TooLarge::Columns, line: $line, most: $most));
    }

    public static function cell(int $line): self
    {
        return new self(Message::of(TooLarge::Cell, line: $line, most: Limits::CELL));
    }

    /** A line longer than all its cells may be together: of too many cells, or of one too long. */
    public static function line(string $text, int $line, int $mostColumns): self
    {
        $marks = max(array_map(static fn (string $mark): int => substr_count($text, $mark), ["\t", ';', ',']));

        return $marks >= $mostColumns ? self::columns($line, $mostColumns) : self::cell($line);
    }

    /** @param int $most bytes */
    public static function bytes(int $most): self
    {
        return new self(Message::of(TooLarge::Bytes, most: intdiv($most, 1_000_000)));
    }

    /** @param int $most bytes */
    public static function unpacked(int $most): self
    {
        return new self(Message::of(TooLarge::Unpacked, most: intdiv($most, 1_000_000)));
    }

    public function said(): Message
    {
        return $this->said;
    }
}
