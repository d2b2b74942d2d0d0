<?php

declare(strict_types=1);

namespace App\Form;

use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use Symfony\Component\Validator\Context\ExecutionContextInterface;

/** Times typed as first and last days beside each other, slot by slot. */
final class DaySlots
{
    /**
     * @param array<int, Day|null> $from
     * @param array<int, Day|null> $to
     *
     * @return list<Period> of the slots that are filled
     */
    public static function periods(array $from, array $to): array
    {
        $periods = [];
        foreach ($from as $slot => $first) {
            $last = $to[$slot] ?? null;
            if (null !== $first && null !== $last) {
                $periods[] = Period::fromFirstToLast($first, $last);
            }
        }

        return $periods;
    }

    /**
     * What is half filled, or ends before it begins, is told at its field.
     *
     * @param array<int, Day|null> $from
     * @param array<int, Day|null> $to
     * @param string               $first the property of the first days
     * @param string               $last  and of the last
     */
    public static function check(ExecutionContextInterface $context, array $from, array $to, string $first, string $last): void
    {
        foreach (array_keys($from + $to) as $slot) {
            $is = $from[$slot] ?? null;
            $until = $to[$slot] ?? null;
            if ((null === $is) !== (null === $until) || (null !== $is && true === $until?->isBefore($is))) {
                $context->buildViolation(null === $is ? 'Write the first day too.' : (null === $until ? 'Write the last day too.'
                    : 'It ends before it begins. Write a later day.'))->atPath(null === $is ? $first."[$slot]"
                        : $last."[$slot]")->addViolation();
            }
        }
    }
}
