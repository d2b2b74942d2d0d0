<?php

declare(strict_types=1);

namespace App\Hands;

use App\Form\DaySlots;
use JollyFurrow\Diary\Worker;
use JollyFurrow\Time\Day;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Context\ExecutionContextInterface;

/** What is typed of somebody who works here. */
final class WorkerData
{
    private const TIMES = 2;

    #[Assert\NotBlank(message: 'Please write something here.')]
    #[Assert\Length(max: 60, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $name = '';
    /** @var array<int, float|null> by weekday, 1 is Monday */
    public array $hours = [1 => 8.0, 2 => 8.0, 3 => 8.0, 4 => 8.0, 5 => 8.0, 6 => null, 7 => null];
    /** @var array<int, Day|null> first days away, by slot */
    public array $awayFrom = [];
    /** @var array<int, Day|null> the last days of the same */
    public array $awayTo = [];

    public static function of(Worker $worker): self
    {
        $data = new self();
        $data->name = $worker->name;
        foreach (range(1, 7) as $day) {
            $data->hours[$day] = ($worker->hours[$day] ?? 0.0) > 0.0 ? $worker->hours[$day] : null;
        }
        foreach ($worker->away as $slot => $days) {
            $data->awayFrom[$slot] = $days->start;
            $data->awayTo[$slot] = $days->last();
        }

        return $data;
    }

    public function worker(): Worker
    {
        return new Worker($this->name, array_map(static fn (?float $hours): float => $hours ?? 0.0, $this->hours),
            DaySlots::periods($this->awayFrom, $this->awayTo));
    }

    public static function slotsFor(?Worker $worker): int
    {
        return max(self::TIMES, 1 + \count($worker->away ?? []));
    }

    #[Assert\Callback]
    public function isAwayFromDayToDay(ExecutionContextInterface $context): void
    {
        DaySlots::check($context, $this->awayFrom, $this->awayTo, 'awayFrom', 'awayTo');
    }
}
