<?php

declare(strict_types=1);

namespace App\Hands;

use JollyFurrow\Diary\Worker;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
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
        $away = [];
        foreach ($this->awayFrom as $slot => $from) {
            $to = $this->awayTo[$slot] ?? null;
            if (null !== $from && null !== $to) {
                $away[] = Period::fromFirstToLast($from, $to);
            }
        }

        return new Worker($this->name, array_map(static fn (?float $hours): float => $hours ?? 0.0, $this->hours), $away);
    }

    public static function slotsFor(?Worker $worker): int
    {
        return max(self::TIMES, 1 + \count($worker->away ?? []));
    }

    #[Assert\Callback]
    public function isAwayFromDayToDay(ExecutionContextInterface $context): void
    {
        foreach (array_keys($this->awayFrom + $this->awayTo) as $slot) {
            $from = $this->awayFrom[$slot] ?? null;
            $to = $this->awayTo[$slot] ?? null;
            if ((null === $from) !== (null === $to) || (null !== $from && true === $to?->isBefore($from))) {
                $context->buildViolation(null === $from ? 'Write the first day too.' : (null === $to ? 'Write the last day too.'
                    : 'It ends before it begins. Write a later day.'))->atPath(null === $from ? "awayFrom[$slot]"
                        : "awayTo[$slot]")->addViolation();
            }
        }
    }
}
