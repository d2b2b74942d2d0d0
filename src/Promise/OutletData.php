<?php

declare(strict_types=1);

namespace App\Promise;

use JollyFurrow\Promise\Outlet;
use JollyFurrow\Time\Weekday;
use Symfony\Component\Validator\Constraints as Assert;

/** What is typed to add an outlet, or to put one right. */
final class OutletData
{
    #[Assert\NotBlank(message: 'Please write something here.')]
    #[Assert\Length(max: 120, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $name = '';
    public Weekday $weekday = Weekday::Saturday;
    public int $priority = 1;
    /** Days before the market day that picking opens. */
    public int $pickWindow = 3;
    /** Days; null: stored goods are welcome. */
    public ?int $pickToSale = null;

    public static function of(Outlet $outlet): self
    {
        $data = new self();
        $data->name = $outlet->name;
        $data->weekday = $outlet->weekday;
        $data->priority = $outlet->priority;
        $data->pickWindow = $outlet->pickWindowDays;
        $data->pickToSale = $outlet->pickToSaleDays;

        return $data;
    }

    public function outlet(string $key): Outlet
    {
        return new Outlet($key, $this->name, $this->weekday, $this->priority, $this->pickWindow, $this->pickToSale);
    }
}
