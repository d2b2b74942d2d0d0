<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Message\Message;

/** One planting at odds with one rule. */
final readonly class Conflict
{
    private function __construct(public Rule $rule, public string $planting, public Message $message)
    {
    }

    public static function of(string $planting, Breach $breach): self
    {
        return new self($breach->rule, $planting, $breach->message);
    }

    public function isHard(): bool
    {
        return $this->rule->isHard();
    }
}
