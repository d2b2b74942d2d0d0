<?php

declare(strict_types=1);

namespace App\Promise;

use App\Form\DaySlots;
use JollyFurrow\Promise\MarketDays;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Weekday;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Context\ExecutionContextInterface;

/** What is typed to add an outlet, or to put one right. */
final class OutletData
{
    private const TIMES = 2;

    #[Assert\NotBlank(message: 'Please write something here.')]
    #[Assert\Length(max: 120, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $name = '';
    /** @var array<Weekday> */
    #[Assert\Count(min: 1, minMessage: 'Choose at least one day of the week.')]
    public array $weekdays = [Weekday::Saturday];
    /** @var array<int, Day|null> first days it is closed, by slot */
    public array $closedFrom = [];
    /** @var array<int, Day|null> the last days of the same */
    public array $closedTo = [];
    public int $priority = 1;
    /** Days before the market day that picking opens. */
    public int $pickWindow = 3;
    /** Days; null: stored goods are welcome. */
    public ?int $pickToSale = null;

    public static function of(Outlet $outlet): self
    {
        $data = new self();
        $data->name = $outlet->name;
        $data->weekdays = $outlet->days->weekdays;
        foreach ($outlet->days->closed as $slot => $closed) {
            $data->closedFrom[$slot] = $closed->start;
            $data->closedTo[$slot] = $closed->last();
        }
        $data->priority = $outlet->priority;
        $data->pickWindow = $outlet->pickWindowDays;
        $data->pickToSale = $outlet->pickToSaleDays;

        return $data;
    }

    public function outlet(string $key): Outlet
    {
        return new Outlet($key, $this->name, $this->days(), $this->priority, $this->pickWindow, $this->pickToSale);
    }

    /** Room for the times it is closed, and at least for a few. */
    public static function slotsFor(?Outlet $outlet): int
    {
        return max(self::TIMES, 1 + \count($outlet->days->closed ?? []));
    }

    #[Assert\Callback]
    public function isClosedFromDayToDay(ExecutionContextInterface $context): void
    {
        DaySlots::check($context, $this->closedFrom, $this->closedTo, 'closedFrom', 'closedTo');
    }

    private function days(): MarketDays
    {
        return MarketDays::every(...array_values($this->weekdays))->butNot(DaySlots::periods($this->closedFrom, $this->closedTo));
    }
}
