<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

use JollyFurrow\Message\Message;

/** What else a planting could have been, and what that would have cost more. */
final readonly class Alternative
{
    /**
     * @param Message|null $other the runner-up; null: there is none
     * @param float        $more  cents it would cost more, broken promises included; less than nought: it would cost less
     * @param int          $units promised units it would leave short that are served now; less than nought: it would serve more
     */
    public function __construct(public Choice $question, public Message $chosen, public ?Message $other, public float $more,
        public int $units)
    {
    }
}
