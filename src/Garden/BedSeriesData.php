<?php

declare(strict_types=1);

namespace App\Garden;

use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Measure\Length;
use JollyFurrow\Shelter\PlaceType;
use Symfony\Component\Validator\Constraints as Assert;

/** What is typed to add a series of beds: "12 beds, A1 to A12, 25 m x 75 cm, open field". */
final class BedSeriesData
{
    #[Assert\NotBlank(message: 'Please write something here.')]
    #[Assert\Length(max: Limits::BLOCK_NAME, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $block = 'A';
    #[Assert\Length(max: 12, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $prefix = 'A';
    public int $first = 1;
    public int $count = 12;
    public PlaceType $place = PlaceType::Field;

    public function __construct(public Length $length, public Length $width, public Length $path)
    {
    }

    public static function usual(): self
    {
        return new self(Length::fromMetres(25), Length::fromCentimetres(75), Length::fromCentimetres(45));
    }

    /** @return list<Bed> the series, walked after the garden's beds */
    public function after(Garden $garden): array
    {
        $walk = \count($garden->beds);
        $bed = fn (int $i): Bed => new Bed($this->prefix.($this->first + $i), $this->block, $walk + $i, $this->length, $this->width,
            $this->path, $this->place);

        return array_map($bed, range(0, $this->count - 1));
    }
}
