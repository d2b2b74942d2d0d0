<?php

declare(strict_types=1);

namespace JollyFurrow\Sale;

use JollyFurrow\Time\Day;

/**
 * What was handed over to an outlet, under a number of its own: "2026-014". A number is given once; a note that was wrong is
 * withdrawn and stays. It is no invoice: tax papers go by local rules.
 */
final readonly class DeliveryNote
{
    /** @param non-empty-list<DeliveryLine> $lines */
    public function __construct(public string $number, public string $outlet, public Day $day, public array $lines,
        public string $words = '', public bool $isWithdrawn = false)
    {
    }

    /**
     * The next number of a year.
     *
     * @param list<self> $notes
     */
    public static function next(array $notes, int $year): string
    {
        $last = 0;
        foreach ($notes as $note) {
            [$of, $n] = array_map('intval', explode('-', $note->number, 2) + [1 => '0']);
            $last = $of === $year ? max($last, $n) : $last;
        }

        return \sprintf('%d-%03d', $year, $last + 1);
    }

    public function cents(): int
    {
        return array_sum(array_map(static fn (DeliveryLine $l): int => $l->cents, $this->lines));
    }

    public function withdrawn(): self
    {
        return new self($this->number, $this->outlet, $this->day, $this->lines, $this->words, true);
    }
}
