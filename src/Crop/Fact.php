<?php

declare(strict_types=1);

namespace App\Crop;

use App\Wording\Prose;
use JollyFurrow\Measure\Goods;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Working\Source;

/** One value of a crop as its page tells it. A list is written one after the other. */
final readonly class Fact
{
    /**
     * @param string|list<string|Quantity|\BackedEnum>                                                        $label
     * @param string|\BackedEnum|Quantity|Goods|Prose|list<string|\BackedEnum|Quantity|Goods|Length|MonthDay> $value
     * @param string                                                                                          $name  of the value in the book
     */
    public function __construct(public string|array $label, public string|\BackedEnum|Quantity|Goods|Prose|array $value,
        public string $name, public ?Source $source = null)
    {
    }

    public function from(Source $source): self
    {
        return new self($this->label, $this->value, $this->name, $source);
    }
}
