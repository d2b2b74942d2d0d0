<?php

declare(strict_types=1);

namespace App\Harvest;

use JollyFurrow\Measure\Temperature;
use JollyFurrow\Storage\StoreKind;
use JollyFurrow\Storage\StorePlace;
use Symfony\Component\Validator\Constraints as Assert;

/** What is typed of a place where produce lies. */
final class PlaceData
{
    #[Assert\NotBlank(message: 'Please write what you call it.')]
    #[Assert\Length(max: 60, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $name = '';
    public StoreKind $kind = StoreKind::ColdRoom;
    #[Assert\NotNull(message: 'Please write how warm it is.')]
    public ?Temperature $warmth = null;
    public ?int $humidity = 90;
    public ?int $crates = null;

    public static function of(StorePlace $place): self
    {
        $data = new self();
        [$data->name, $data->kind, $data->humidity, $data->crates] = [$place->name, $place->kind, $place->humidity, $place->crates];
        $data->warmth = Temperature::fromCelsius($place->celsius);

        return $data;
    }

    public function place(string $key): StorePlace
    {
        return new StorePlace($key, $this->name, $this->kind, round($this->warmth->celsius ?? 0.0, 2), $this->humidity ?? 90,
            $this->crates);
    }
}
