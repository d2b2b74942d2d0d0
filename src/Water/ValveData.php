<?php

declare(strict_types=1);

namespace App\Water;

use JollyFurrow\Land\Valve;
use JollyFurrow\Land\WaterWay;
use JollyFurrow\Measure\Units;
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

    /** Litres of one gallon. */
    public const GALLON = 3.785411784;

    public static function of(Valve $valve, Units $units): self
    {
        $data = new self();
        [$data->name, $data->litres, $data->way, $data->every] = [$valve->name, round($valve->litres / self::each($units), 3),
            $valve->way, $valve->every];
        $data->beds = implode(', ', $valve->beds);

        return $data;
    }

    /** Litres in what water is counted in. */
    public static function each(Units $units): float
    {
        return Units::UsCustomary === $units ? self::GALLON : 1.0;
    }

    /** @param list<string> $beds */
    public function valve(string $key, array $beds, Units $units): Valve
    {
        return new Valve($key, $this->name, $beds, round($this->litres * self::each($units), 4), $this->way, $this->every);
    }
}
