<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

use JollyFurrow\Crop\Crop;

/** How the nitrogen of some crops is parted. */
final readonly class FeedRule
{
    /**
     * @param list<string>   $crops   items
     * @param list<string>   $classes feeding classes
     * @param list<FeedPart> $parts
     */
    public function __construct(public array $crops, public array $classes, public array $parts)
    {
    }

    public function isFor(Crop $crop): bool
    {
        return \in_array($crop->item(), $this->crops, true) || \in_array($crop->feeding->value, $this->classes, true);
    }
}
