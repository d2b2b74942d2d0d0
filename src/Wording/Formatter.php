<?php

declare(strict_types=1);

namespace App\Wording;

use JollyFurrow\Garden\DateForm;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Measure\Goods;
use JollyFurrow\Measure\Money;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Measure\Units;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;

/** Writes quantities, money and dates as one garden writes them. The only place that does. */
final readonly class Formatter
{
    private const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
    /** What a count counts, one and more. */
    private const COUNTED = [
        'd' => ['day', 'days'], 'row' => ['row', 'rows'], 'plant' => ['plant', 'plants'], 'spot' => ['spot', 'spots'],
        'seed' => ['seed', 'seeds'], 'cell' => ['cell', 'cells'], 'tray' => ['tray', 'trays'],
    ];
    private const THIS_WEEK = 6;
    private const METRES_A_FOOT = 0.3048;
    private const GRAMS_TO_THE_KILOGRAM = 1000;
    private const GRAMS_TO_THE_POUND = 453.59237;

    public function __construct(public Units $units, public string $currency, public DateForm $dates)
    {
    }

    /** Metric and ISO 8601, for answers to machines. */
    public static function forMachines(string $currency): self
    {
        return new self(Units::Metric, $currency, DateForm::Iso);
    }

    public static function of(Settings $settings): self
    {
        return new self($settings->units, $settings->currency, $settings->dates());
    }

    /** @param int|null $decimals null: as many as usual for the unit */
    public function quantity(Quantity $quantity, ?int $decimals = null): Written
    {
        if (Unit::Date === $quantity->unit) {
            return $this->day(Day::of((int) $quantity->value));
        }
        $kind = Kind::of($quantity->unit);

        return Written::number($this->text($quantity, $decimals), $kind->name, $quantity->value * $kind->factor);
    }

    private function text(Quantity $quantity, ?int $decimals): string
    {
        $value = $quantity->value;
        $scale = Scale::of($this->sized($quantity), $this->units);
        if (null !== $scale) {
            return $scale->write($this->sized($quantity) === $quantity->unit ? $value : $value / self::GRAMS_TO_THE_KILOGRAM);
        }
        $counted = self::COUNTED[$quantity->unit->value] ?? null;
        if (null !== $counted) {
            $number = Units::number($value, $decimals ?? 1);

            return $number.' '.$counted['1' === $number ? 0 : 1];
        }

        return match ($quantity->unit) {
            Unit::Span => self::span((int) $value),
            Unit::Minute => Units::number($value, $decimals ?? 0).' min',
            Unit::Hour => Units::number($value, $decimals ?? 2).' h',
            Unit::Share => Units::number(100 * $value, $decimals ?? 0).' %',
            Unit::Percent => Units::number($value, $decimals ?? 1).' %',
            Unit::Cent => self::amount($value),
            default => Units::number($value, $decimals ?? 3),
        };
    }

    private static function span(int $days): string
    {
        return match (true) {
            $days < 70 => $days.(1 === $days ? ' day' : ' days'),
            $days < 365 => intdiv($days, 30).' months',
            default => number_format($days / 365, 1).' years',
        };
    }

    /** "12 heads", "3.4 kg"; of a bed's length "12 heads a metre", "2.3 lb a foot" */
    public function goods(Goods $goods): Written
    {
        $isUs = Units::UsCustomary === $this->units;
        $units = $goods->isOfAMetre && $isUs ? $goods->units * self::METRES_A_FOOT : $goods->units;
        $of = $goods->isOfAMetre ? ($isUs ? ' a foot' : ' a metre') : '';
        $mass = (new Goods($units, $goods->unit))->mass();
        if (null !== $mass) {
            return Written::number($this->text($mass, null).$of, $goods->isOfAMetre ? 'mass-per-length' : 'mass', $goods->units / 10);
        }
        $number = Units::number($units, $goods->isOfAMetre ? 2 : 1);
        $plural = '1' === $number ? '' : (str_ends_with($goods->unit, 'ch') ? 'es' : 's');

        return Written::number($number.' '.$goods->unit.$plural.$of, $goods->isOfAMetre ? 'count-per-length' : 'count', $goods->units);
    }

    /** Grams are written as kilograms or pounds from one of these on. */
    private function sized(Quantity $quantity): Unit
    {
        $limit = Units::Metric === $this->units ? self::GRAMS_TO_THE_KILOGRAM : self::GRAMS_TO_THE_POUND;

        return Unit::Gram === $quantity->unit && $quantity->value >= $limit ? Unit::Kilogram : $quantity->unit;
    }

    /** "1 234.50" */
    public function money(Money|float|int $cents): Written
    {
        $cents = $cents instanceof Money ? $cents->cents : $cents;

        return Written::number(self::amount($cents), 'money', $cents / 100);
    }

    /** "+12.50", "−3.00" */
    public function moneyMore(float|int $cents): Written
    {
        return Written::number(($cents < 0 ? '−' : '+').self::amount(abs($cents)), 'money', $cents / 100);
    }

    /** "12.50 EUR" */
    public function price(Money|float|int $cents): Written
    {
        $cents = $cents instanceof Money ? $cents->cents : $cents;

        return Written::number(self::amount($cents).' '.$this->currency, 'money', $cents / 100);
    }

    /** Time of work: "25 min", "3.5 h", "18 h" */
    public function work(float|int $hours): Written
    {
        $minutes = (int) round(60 * $hours);
        $text = $minutes < 60 ? $minutes.' min' : Units::number($hours, $hours < 10 ? 1 : 0).' h';

        return Written::number($text, 'hours', $hours);
    }

    /** Whole, where a glance is enough: "310 EUR" */
    public function about(float|int $cents): Written
    {
        return Written::number(number_format($cents / 100, 0, '.', ' ').' '.$this->currency, 'money', $cents / 100);
    }

    /** "Tue 21 Jul", "Tue, Jul 21" */
    public function weekday(Day $day): Written
    {
        $short = $this->dayOfYear($day->month(), $day->dayOfMonth());

        return Written::day($day->weekday()->short().(DateForm::MonthFirst === $this->dates ? ', ' : ' ').$short, $day->iso());
    }

    /** The last day of something, as one says it today: "today", "Wed", "Wed 5 Aug" when it is more than six days off */
    public function by(Day $day, Day $today): Written
    {
        return match (true) {
            !$today->isBefore($day) => Written::day('today', $day->iso()),
            $day->since($today) <= self::THIS_WEEK => Written::day('by '.$day->weekday()->short(), $day->iso()),
            default => Written::day('by '.$this->weekday($day)->text, $day->iso()),
        };
    }

    /** "Tue 3 Mar 2026", "Tue, Mar 3, 2026" */
    public function day(Day $day): Written
    {
        $short = $this->dayOfYear($day->month(), $day->dayOfMonth());
        $text = DateForm::MonthFirst === $this->dates
            ? $day->weekday()->short().', '.$short.', '.$day->year()
            : $day->weekday()->short().' '.$short.' '.$day->year();

        return Written::day($text, $day->iso());
    }

    /** "3 Mar", "Mar 3" */
    public function shortDay(Day $day): Written
    {
        return Written::day($this->dayOfYear($day->month(), $day->dayOfMonth()), $day->iso());
    }

    /** "3 Mar 2026", "Mar 3, 2026" */
    public function date(Day $day): Written
    {
        if (DateForm::Iso === $this->dates) {
            return Written::day($day->iso(), $day->iso());
        }
        $short = $this->dayOfYear($day->month(), $day->dayOfMonth());

        return Written::day($short.(DateForm::MonthFirst === $this->dates ? ', ' : ' ').$day->year(), $day->iso());
    }

    /** Metres of bed, whole: "125 m", "410 ft" */
    public function roundMetres(float $metres): Written
    {
        $isMetric = Units::Metric === $this->units;

        return Written::number(Units::number($isMetric ? $metres : $metres / self::METRES_A_FOOT, 0).($isMetric ? ' m' : ' ft'),
            'length', $metres);
    }

    /** A day of every year: "3 Mar", "Mar 3" */
    public function yearly(MonthDay $day): Written
    {
        return Written::day($this->dayOfYear($day->month, $day->day), \sprintf('--%02d-%02d', $day->month, $day->day));
    }

    /** "Jan" */
    public static function month(int $month): string
    {
        return self::MONTHS[$month - 1];
    }

    /** Only the number, for tables whose heading names the unit; all decimals, so that columns align. */
    public function bare(Quantity $quantity, int $decimals): Written
    {
        $kind = Kind::of($quantity->unit);
        $scale = Scale::of($quantity->unit, $this->units);
        $value = null === $scale ? $quantity->value : $quantity->value * $scale->factor + $scale->offset;

        return Written::number(number_format($value, $decimals, '.', ''), $kind->name, $quantity->value * $kind->factor);
    }

    /**
     * Reads a number of a kind: bare in the garden's own unit, or with the unit of either system behind it.
     *
     * @throws NotANumber
     */
    public function read(string $text, Unit $unit): Quantity
    {
        if (1 !== preg_match('/^\s*([-−]?\d{1,9}(?:[.,]\d{1,6})?)\s*(.*?)\s*$/u', $text, $m)) {
            throw NotANumber::at($text, $this->symbol($unit));
        }
        foreach ([$this->units, ...Units::cases()] as $units) {
            $scale = Scale::of($unit, $units);
            if (null !== $scale && ('' === $m[2] || 0 === strcasecmp($scale->symbol, $m[2]))) {
                return Quantity::of($scale->back((float) strtr($m[1], ['−' => '-', ',' => '.'])), $unit);
            }
        }
        throw NotANumber::at($text, $this->symbol($unit));
    }

    /** "°C", "in" */
    public function symbol(Unit $unit): string
    {
        return Scale::of($unit, $this->units)->symbol ?? '';
    }

    private function dayOfYear(int $month, int $day): string
    {
        $name = self::MONTHS[$month - 1];

        return DateForm::MonthFirst === $this->dates ? $name.' '.$day : $day.' '.$name;
    }

    private static function amount(float|int $cents): string
    {
        return number_format($cents / 100, 2, '.', ' ');
    }
}
