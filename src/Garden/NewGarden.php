<?php

declare(strict_types=1);

namespace App\Garden;

use JollyFurrow\Climate\FrostGrade;
use JollyFurrow\Climate\MonthlyMeans;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Land\Whereabouts;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Measure\Units;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use Symfony\Component\Validator\Constraints as Assert;

/** What a garden begins with, as it is typed: its name, where it lies, the units. Everything else has a usual value. */
final class NewGarden
{
    #[Assert\NotBlank(message: 'Please write something here.')]
    #[Assert\Length(max: Limits::NAME, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $name = '';
    public ?Whereabouts $where = null;
    public Units $units = Units::Metric;
    /** Pasted; empty: guessed from where it lies. */
    public string $months = '';

    /** Told by the browser; one nobody knows is left. */
    public ?string $zone = null;

    public function garden(Day $today, ?MonthlyMeans $months): Garden
    {
        $latitude = $this->where->latitude ?? 0.0;
        $altitude = $this->where->altitude ?? 0;
        $climate = null === $months ? PlaceClimate::guessed($latitude, $altitude)->timed(true) : PlaceClimate::fromMonths($months,
            $latitude);
        [$last, $first] = $latitude < 0 ? ['10-20', '04-20'] : ['05-10', '10-10'];
        $place = new Place($this->name, $latitude, $altitude, self::frost($climate, 'last', $latitude) ?? MonthDay::parse($last),
            self::frost($climate, 'first', $latitude) ?? MonthDay::parse($first));

        return new Garden($this->name, $today, $place, Settings::usual($this->units, $this->timeZone()), [], [], [], [], [], [], [], [],
            $climate);
    }

    public function timeZone(): string
    {
        return \in_array($this->zone, \DateTimeZone::listIdentifiers(), true) ? $this->zone : '';
    }

    private static function frost(PlaceClimate $climate, string $which, float $latitude): ?MonthDay
    {
        $day = $climate->frost->day(FrostGrade::Light, $which, 0.1, 2001, $latitude < 0);

        return null === $day ? null : MonthDay::parse(\sprintf('%02d-%02d', $day->month(), $day->dayOfMonth()));
    }
}
