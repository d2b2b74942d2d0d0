<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Work\CareCalendar;

/** The feeding of a garden, worked out when it is first asked for. */
final class Feeding
{
    private ?FeedingPlan $plan = null;

    public function __construct(private readonly Garden $garden, private readonly CropBook $crops, private readonly RecipeBook $recipes,
        private readonly NeedTable $needs, private readonly FeedCalendar $calendar, private readonly CareCalendar $care)
    {
    }

    public function plan(): FeedingPlan
    {
        return $this->plan ??= FeedingPlan::of($this->garden, $this->crops, $this->recipes, $this->needs, $this->calendar, $this->care);
    }

    /** Something is fed here: there is a shed to feed from. */
    public function isDone(): bool
    {
        return [] !== $this->garden->soil->shed;
    }
}
