<?php

declare(strict_types=1);

namespace App\Shared;

use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Units;
use JollyFurrow\Time\Day;
use Twig\Attribute\AsTwigFilter;

/** How numbers and days are written on pages. */
final class WordsExtension
{
    /** At most three decimals, no idle zeros. */
    #[AsTwigFilter('plain')]
    public function plain(float|int $number): string
    {
        return Units::number((float) $number, 3);
    }

    #[AsTwigFilter('day_of')]
    public function dayOf(float|int $number): string
    {
        return $this->day(Day::of((int) $number));
    }

    /** Cents as "1 234.50". */
    #[AsTwigFilter('money')]
    public function money(float|int $cents): string
    {
        return number_format($cents / 100, 2, '.', ' ');
    }

    /** "+12.50", "−3.00" */
    /** Words of the core with their dates written as elsewhere on the page: "4 Sep 2026". */
    #[AsTwigFilter('with_days')]
    public function withDays(string $words): string
    {
        return (string) preg_replace_callback('/\b(\d{4})-(\d{2})-(\d{2})\b/', fn (array $found): string => checkdate((int) $found[2], (int) $found[3], (int) $found[1]) ? $this->shortDay(Day::parse($found[0])).' '.$found[1] : $found[0], $words);
    }

    /** "+4.2 %" */
    #[AsTwigFilter('signed_percent')]
    public function signedPercent(float $share): string
    {
        return ($share < 0 ? '−' : '+').number_format(100 * abs($share), 1).' %';
    }

    #[AsTwigFilter('signed_money')]
    public function signedMoney(float|int $cents): string
    {
        return ($cents < 0 ? '−' : '+').$this->money(abs($cents));
    }

    /** "97.3 %" */
    #[AsTwigFilter('percent_fine')]
    public function percentFine(float $share): string
    {
        return Units::number(100 * $share, 1).' %';
    }

    /** "75 %" */
    #[AsTwigFilter('percent')]
    public function percent(float $share): string
    {
        return Units::number(100 * $share, 0).' %';
    }

    /** Metres of bed, whole: "125 m", "410 ft" */
    #[AsTwigFilter('round_metres')]
    public function roundMetres(float|int $metres, Units $units): string
    {
        return Units::Metric === $units ? Units::number((float) $metres, 0).' m' : Units::number(Length::fromMetres(max(0.0, (float) $metres))->feet(), 0).' ft';
    }

    /** A place along a bed, in millimetres from its head: "12.5 m" */
    #[AsTwigFilter('along')]
    public function along(int $millimetres, Units $units): string
    {
        return $units->long(Length::fromMillimetres($millimetres));
    }

    /** "Tue 3 Mar 2026" */
    #[AsTwigFilter('day')]
    public function day(Day $day): string
    {
        return $day->weekday()->short().' '.Expected::day($day).' '.$day->year();
    }

    /** "3 Mar" */
    #[AsTwigFilter('short_day')]
    public function shortDay(Day $day): string
    {
        return Expected::day($day);
    }
}
