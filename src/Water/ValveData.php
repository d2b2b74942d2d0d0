<?php

declare(strict_types=1);

namespace App\Water;

use JollyFurrow\Land\Valve;
use JollyFurrow\Land\WaterWay;
use Symfony\Component\Validator\Constraints as Assert;

/** What is typed of a valve. */
final class ValveData
{
    #[Assert\NotBlank(message: 'Please write something here.')]
    #[Assert\Length(max: 60, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $name = '';
    public string $beds = '';
    public float $litres = 0.0;
    public WaterWay $way = WaterWay::Drip;
    public ?int $every = null;

    public static function of(Valve $valve): self
    {
        $data = new self();
        [$data->name, $data->litres, $data->way, $data->every] = [$valve->name, $valve->litres, $valve->way, $valve->every];
        $data->beds = implode(', ', $valve->beds);

        return $data;
    }

    /** @param list<string> $beds */
    public function valve(string $key, array $beds): Valve
    {
        return new Valve($key, $this->name, $beds, $this->litres, $this->way, $this->every);
    }
}
