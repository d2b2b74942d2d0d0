<?php

declare(strict_types=1);

namespace App\Wall;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\GrowingSeason;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\InvalidDay;

/** Which days the wall shows, and how wide a week is: a season, a quarter of it, a month or some weeks. */
final readonly class WallSpan
{
    /** @var array<string, array{int, float, string}> weeks, pixels a week, what it is called */
    public const ZOOMS = ['season' => [52, 22.5, 'Season'], 'quarter' => [17, 68.0, 'Quarter'], 'month' => [6, 190.0, 'Month'],
        'weeks' => [3, 378.0, 'Weeks']];
    private const WEEK = 7;

    private function __construct(public string $zoom, public Day $first, public GrowingSeason $season)
    {
    }

    public static function asked(string $zoom, string $from, Garden $garden, int $year): self
    {
        $zoom = isset(self::ZOOMS[$zoom]) ? $zoom : 'season';
        $season = $year >= 1950 && $year <= 2150 ? GrowingSeason::of($garden->place->latitude, $year)
            : GrowingSeason::on($garden->place->latitude, $garden->today);
        try {
            $first = Day::parse($from);
        } catch (InvalidDay) {
            $first = 'season' === $zoom ? $season->first : $garden->today->plus(-self::WEEK);
        }

        return new self($zoom, $first->week()->monday(), $season);
    }

    public function scale(): Scale
    {
        return Scale::from($this->first, self::ZOOMS[$this->zoom][0], self::ZOOMS[$this->zoom][1]);
    }

    /** A good part of it earlier or later. */
    public function panned(int $way): Day
    {
        return $this->first->plus($way * self::WEEK * max(1, intdiv(self::ZOOMS[$this->zoom][0] * 2, 3)));
    }
}
