<?php

declare(strict_types=1);

namespace App\Harvest;

use JollyFurrow\Measure\Goods;
use JollyFurrow\Storage\HandlingKind;
use JollyFurrow\Time\Day;
use Symfony\Component\Validator\Constraints as Assert;

/** What is typed of a part of a lot. */
final class HandlingData
{
    public HandlingKind $kind = HandlingKind::Sold;
    /** Null: all that lies there. */
    public ?Goods $amount = null;
    public string $from = '';
    public string $to = '';
    public ?Day $day = null;
    #[Assert\Length(max: 400, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $words = '';
}
