<?php

declare(strict_types=1);

namespace App\Garden;

use JollyFurrow\Measure\Length;
use JollyFurrow\Time\Day;

/** What is typed to note what stood in a bed before. */
final class PastCropData
{
    public string $bed = '';
    public string $crop = '';
    public ?Length $from = null;
    public ?Length $to = null;

    public function __construct(public Day $cleared)
    {
    }
}
