<?php

declare(strict_types=1);

namespace JollyFurrow\Paste;

/** A run of beds as it is written: "A2-A5", "A2 to 5". */
final readonly class BedRun
{
    private const RUN = '/^(\D*)(\d{1,4})\s*(?:-|–|—|to|\.\.\.?|…)\s*(\D*?)\s*(\d{1,4})$/u';

    private function __construct(private string $letters, private int $first, private int $last)
    {
    }

    /** Null: it is no run. */
    public static function of(string $text): ?self
    {
        if (1 !== preg_match(self::RUN, $text, $m) || !\in_array(trim($m[3]), ['', trim($m[1])], true) || (int) $m[2] >= (int) $m[4]) {
            return null;
        }

        return new self($m[1], (int) $m[2], (int) $m[4]);
    }

    public function count(): int
    {
        return $this->last - $this->first + 1;
    }

    /** @return non-empty-list<string> */
    public function names(): array
    {
        return array_map(fn (int $n): string => $this->letters.$n, range($this->first, $this->last));
    }
}
