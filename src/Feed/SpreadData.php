<?php

declare(strict_types=1);

namespace App\Feed;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Area;
use JollyFurrow\Measure\Mass;
use JollyFurrow\Soil\Spread;
use JollyFurrow\Time\Day;
use Symfony\Component\Validator\Constraints as Assert;

/** What is typed of something spread. */
final class SpreadData
{
    #[Assert\NotBlank(message: 'Please choose a bed or block.')]
    public string $place = '';
    #[Assert\NotBlank(message: 'Please choose a product.')]
    public string $product = '';
    #[Assert\NotNull(message: 'Please write how much.')]
    public ?Mass $amount = null;
    #[Assert\NotNull(message: 'Please choose a day.')]
    public ?Day $day = null;
    public ?Day $workedIn = null;

    /** @return list<Spread> one a bed, by area */
    public function spreads(Garden $garden): array
    {
        $product = $garden->soil->product($this->product);
        $beds = array_values(array_filter($garden->bedsInUse(), fn ($bed): bool => $bed->name === $this->place
            || ($bed->block === $this->place
            && !isset($garden->bedsByName()[$this->place]))));
        if (null === $product || null === $this->amount || null === $this->day) {
            return [];
        }
        $area = array_sum(array_map(static fn ($bed): float => $bed->area()->squareMetres, $beds));
        $n = \count($garden->soil->spreads);
        $spreads = [];
        foreach ($beds as $bed) {
            $share = $bed->area()->squareMetres / $area;
            $spreads[] = new Spread('s'.++$n.'/'.$this->day->iso(), $bed->name, $this->day, $product->name,
                $this->amount->grams / 1000 * $share, $product->percent, $product->release, $product->heat,
                Area::fromSquareMetres($bed->area()->squareMetres), $this->workedIn);
        }

        return $spreads;
    }
}
