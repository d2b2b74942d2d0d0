<?php

declare(strict_types=1);

namespace JollyFurrow\Practice;

use JollyFurrow\Planting\Happening;

/** How many days late a job is done, by chance. Our own model of a small crew: four jobs in five are done in time. */
final readonly class Slip
{
    /** @var array<int, int|null> up to this share in a thousand: days late; null: nobody comes to it */
    private const SHARES = [800 => 0, 900 => 1, 950 => 2, 980 => 4, 994 => 7, 1000 => null];

    private function __construct(public ?int $days)
    {
    }

    /** The same seed, planting and job: the same slip. What stands is always picked and cleared in the end. */
    public static function of(int $seed, string $planting, Happening $what): self
    {
        $chance = hexdec(substr(hash('xxh32', $seed.'/'.$planting.'/'.$what->value), 0, 6)) % 1000;
        foreach (self::SHARES as $below => $days) {
            if ($chance < $below) {
                return new self(null === $days && \in_array($what, [Happening::Picked, Happening::Finished], true) ? 7 : $days);
            }
        }

        return new self(0);
    }
}
