<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Work\CareCalendar;
use JollyFurrow\Work\CarePoint;
use JollyFurrow\Work\CareRule;
use JollyFurrow\Working\Source;

/** Dates the parts of a crop's nitrogen by its stages: growth and pickings move them. */
final readonly class FeedCalendar
{
    /** Of the northern half of the world. */
    private const SPRING_DAY = '03-25';
    private const SPRING = 'in spring';

    /** @param list<FeedRule> $rules the first that fits counts */
    public function __construct(private array $rules)
    {
    }

    /** @return list<FeedPart> */
    public function parts(Crop $crop): array
    {
        foreach ($this->rules as $rule) {
            if ($rule->isFor($crop)) {
                return $rule->parts;
            }
        }

        return [];
    }

    /**
     * By day; shares of the nitrogen sum to one, whatever of its days there are.
     *
     * @return list<FeedDay>
     */
    public function of(Planting $planting, Crop $crop, CareCalendar $care): array
    {
        if (Pattern::Perennial === $crop->pattern) {
            return self::yearly($planting, $care);
        }
        $doses = [];
        foreach ($this->parts($crop) as $n => $part) {
            $rule = new CareRule('feed-'.$n, $part->name, $part->from, $part->after, $part->share, $part->every, $part->until, [], [], [],
                [], 0, 0.0, '', Source::practice());
            $days = $part->those($care->daysOf($rule, $planting));
            foreach ($days as $k => $day) {
                $doses[] = new FeedDay('feed-'.($n + 1).'/'.($k + 1), $part->name, $day, $part->part / \count($days));
            }
        }
        $sum = array_sum(array_map(static fn (FeedDay $d): float => $d->part, $doses));
        usort($doses, static fn (FeedDay $a, FeedDay $b): int => [$a->day->number, $a->step] <=> [$b->day->number, $b->step]);

        return array_map(static fn (FeedDay $d, int $n): FeedDay => $d->of($sum, 0 === $n), $doses, array_keys($doses));
    }

    /** @return list<FeedDay> what stands for years has its year's need each spring */
    private static function yearly(Planting $planting, CareCalendar $care): array
    {
        $rule = new CareRule('feed', self::SPRING, CarePoint::Ground, null, 0.0, null, 1.0, [], [], [], [], 0, 0.0, '', Source::practice(),
            MonthDay::parse(self::SPRING_DAY));

        return array_map(static fn (Day $day): FeedDay => new FeedDay('feed-year/'.$day->year(), self::SPRING, $day, 1.0, 1.0),
            $care->daysOf($rule, $planting));
    }
}
