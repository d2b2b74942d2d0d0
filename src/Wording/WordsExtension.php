<?php

declare(strict_types=1);

namespace App\Wording;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Produce;
use JollyFurrow\Measure\Area;
use JollyFurrow\Measure\Goods;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Mass;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Measure\Volume;
use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\Working;
use Twig\Attribute\AsTwigFilter;
use Twig\Attribute\AsTwigFunction;

/**
 * How pages write numbers, dates and messages, by the formatter of the page's garden. Each filter writes an element that
 * machines can read too; its twin with "_text" is for attributes and option texts.
 */
final readonly class WordsExtension
{
    public function __construct(private Sayer $sayer)
    {
    }

    #[AsTwigFilter('say', isSafe: ['html'])]
    public function say(Message|string|null $message): string
    {
        return $this->sayer->html($message);
    }

    #[AsTwigFilter('say_text')]
    public function sayText(Message|string|null $message): string
    {
        return $this->sayer->text($message);
    }

    /** Anything the core hands out, as it is written; a list one after the other. */
    #[AsTwigFilter('show', isSafe: ['html'])]
    public function show(mixed $value): string
    {
        return $this->sayer->show($value);
    }

    #[AsTwigFilter('title_of')]
    public function titleOf(Working $working): string
    {
        return $this->sayer->title($working);
    }

    #[AsTwigFilter('formula_of')]
    public function formulaOf(Working $working): string
    {
        return $this->sayer->formula($working);
    }

    #[AsTwigFilter('label_of', isSafe: ['html'])]
    public function labelOf(Input $input, Working $working): string
    {
        return $this->sayer->label($working, $input);
    }

    #[AsTwigFilter('source_of')]
    public function sourceOf(Source $source): string
    {
        return $this->sayer->source($source);
    }

    /** So many of what a crop is sold in: {{ crop.produce|amount(12) }} */
    #[AsTwigFilter('amount', isSafe: ['html'])]
    public function amount(Produce $produce, float|int $units): string
    {
        return $this->sayer->formatter()->goods($produce->goods((float) $units))->html();
    }

    #[AsTwigFilter('amount_text')]
    public function amountText(Produce $produce, float|int $units): string
    {
        return $this->sayer->formatter()->goods($produce->goods((float) $units))->text;
    }

    #[AsTwigFilter('word')]
    public function word(\BackedEnum $case): string
    {
        return $this->sayer->word($case);
    }

    /** What the button says that notes it. */
    #[AsTwigFilter('button')]
    public function button(Happening $what): string
    {
        return $this->sayer->button($what);
    }

    /** A long measure, such as a bed: "12.5 m" */
    #[AsTwigFilter('long', isSafe: ['html'])]
    public function long(Length $length): string
    {
        return $this->measure(Quantity::long($length));
    }

    #[AsTwigFilter('long_text')]
    public function longText(Length $length): string
    {
        return $this->measureText(Quantity::long($length));
    }

    /** A short measure, such as a spacing: "30 cm" */
    #[AsTwigFilter('short', isSafe: ['html'])]
    public function short(Length $length): string
    {
        return $this->measure(Quantity::short($length));
    }

    #[AsTwigFilter('short_text')]
    public function shortText(Length $length): string
    {
        return $this->measureText(Quantity::short($length));
    }

    /** A place along a bed, in micrometres from its head. */
    #[AsTwigFilter('along', isSafe: ['html'])]
    public function along(int $micrometres): string
    {
        return $this->long(Length::fromMicrometres($micrometres));
    }

    /** Metres of bed, whole. */
    #[AsTwigFilter('round_metres', isSafe: ['html'])]
    public function roundMetres(float|int $metres): string
    {
        return $this->sayer->formatter()->roundMetres((float) $metres)->html();
    }

    #[AsTwigFilter('round_metres_text')]
    public function roundMetresText(float|int $metres): string
    {
        return $this->sayer->formatter()->roundMetres((float) $metres)->text;
    }

    #[AsTwigFilter('measure', isSafe: ['html'])]
    public function measure(Quantity|Goods|Mass|Volume|Area $value, ?int $decimals = null): string
    {
        return $value instanceof Goods ? $this->sayer->formatter()->goods($value)->html()
            : $this->sayer->formatter()->quantity(self::quantity($value), $decimals)->html();
    }

    #[AsTwigFilter('measure_text')]
    public function measureText(Quantity|Mass|Volume|Area $value, ?int $decimals = null): string
    {
        return $this->sayer->formatter()->quantity(self::quantity($value), $decimals)->text;
    }

    /** A number of a unit named by its symbol: {{ 12.5|in_unit('h') }} */
    #[AsTwigFilter('in_unit', isSafe: ['html'])]
    public function inUnit(float|int $value, string $unit, ?int $decimals = null): string
    {
        return $this->measure(Quantity::of($value, Unit::from($unit)), $decimals);
    }

    #[AsTwigFilter('in_unit_text')]
    public function inUnitText(float|int $value, string $unit, ?int $decimals = null): string
    {
        return $this->measureText(Quantity::of($value, Unit::from($unit)), $decimals);
    }

    /** Only the number of a unit named by its symbol, for tables whose heading names the unit: {{ 12.5|bare('degC') }} */
    #[AsTwigFilter('bare', isSafe: ['html'])]
    public function bare(float|int $value, string $unit, int $decimals = 1): string
    {
        return $this->sayer->formatter()->bare(Quantity::of($value, Unit::from($unit)), $decimals)->html();
    }

    /** How a unit is written: {{ 'degC'|symbol }} */
    #[AsTwigFilter('symbol')]
    public function symbol(string $unit): string
    {
        return $this->sayer->formatter()->symbol(Unit::from($unit));
    }

    /** "Tue 3 Mar 2026" */
    #[AsTwigFilter('day', isSafe: ['html'])]
    public function day(Day $day): string
    {
        return $this->sayer->formatter()->day($day)->html();
    }

    #[AsTwigFilter('day_text')]
    public function dayText(Day $day): string
    {
        return $this->sayer->formatter()->day($day)->text;
    }

    #[AsTwigFilter('day_of', isSafe: ['html'])]
    public function dayOf(float|int $number): string
    {
        return $this->day(Day::of((int) $number));
    }

    #[AsTwigFilter('day_of_text')]
    public function dayOfText(float|int $number): string
    {
        return $this->dayText(Day::of((int) $number));
    }

    #[AsTwigFilter('along_text')]
    public function alongText(int $micrometres): string
    {
        return $this->longText(Length::fromMicrometres($micrometres));
    }

    /** "3 Mar" */
    #[AsTwigFilter('short_day', isSafe: ['html'])]
    public function shortDay(Day $day): string
    {
        return $this->sayer->formatter()->shortDay($day)->html();
    }

    #[AsTwigFilter('short_day_text')]
    public function shortDayText(Day $day): string
    {
        return $this->sayer->formatter()->shortDay($day)->text;
    }

    /** "3 Mar 2026" */
    /** A sentence of a book: {{ crop.notes.harvest|prose }} */
    #[AsTwigFilter('prose', isSafe: ['html'])]
    public function prose(string $text): string
    {
        return (new Prose($text))->html($this->sayer->formatter());
    }

    #[AsTwigFilter('date_of', isSafe: ['html'])]
    public function dateOf(Day $day): string
    {
        return $this->sayer->formatter()->date($day)->html();
    }

    /** An instant by the server's clock, in seconds: "3 Mar 2026, 14:05" */
    #[AsTwigFilter('moment')]
    public function moment(int $seconds): string
    {
        $at = (new \DateTimeImmutable('@'.$seconds))->setTimezone(new \DateTimeZone(date_default_timezone_get()));

        return $this->sayer->formatter()->date(Day::parse($at->format('Y-m-d')))->text.', '.$at->format('H:i');
    }

    /** "sown 3 Mar, planted 31 Mar, ready 12 May, cleared 20 May" */
    #[AsTwigFilter('dates', isSafe: ['html'])]
    public function dates(Planting $planting, ?Crop $crop = null): string
    {
        return $this->sayer->html($this->sayer->datesOf($planting, $crop));
    }

    #[AsTwigFilter('dates_text')]
    public function datesText(Planting $planting, ?Crop $crop = null): string
    {
        return $this->sayer->text($this->sayer->datesOf($planting, $crop));
    }

    /** A day of every year: "3 Mar" */
    #[AsTwigFilter('yearly', isSafe: ['html'])]
    public function yearly(MonthDay $day): string
    {
        return $this->sayer->formatter()->yearly($day)->html();
    }

    #[AsTwigFilter('date_text')]
    public function dateText(Day $day): string
    {
        return $this->sayer->formatter()->date($day)->text;
    }

    /** "Tue 21 Jul" */
    #[AsTwigFilter('weekday', isSafe: ['html'])]
    public function weekday(Day $day): string
    {
        return $this->sayer->formatter()->weekday($day)->html();
    }

    #[AsTwigFilter('weekday_text')]
    public function weekdayText(Day $day): string
    {
        return $this->sayer->formatter()->weekday($day)->text;
    }

    /** "today", "by Wed" */
    #[AsTwigFilter('by', isSafe: ['html'])]
    public function by(Day $day, Day $today): string
    {
        return $this->sayer->formatter()->by($day, $today)->html();
    }

    /** "25 min", "3.5 h" */
    #[AsTwigFilter('hours', isSafe: ['html'])]
    public function hours(float|int $hours): string
    {
        return $this->sayer->formatter()->work($hours)->html();
    }

    #[AsTwigFilter('hours_text')]
    public function hoursText(float|int $hours): string
    {
        return $this->sayer->formatter()->work($hours)->text;
    }

    /** "2026-07": "Jul" */
    #[AsTwigFilter('month_of')]
    public function monthOf(string $month): string
    {
        return Formatter::month((int) substr($month, 5, 2));
    }

    /** Names one doing, so that it counts once however often it is sent. */
    #[AsTwigFunction('random_token')]
    public function randomToken(): string
    {
        return bin2hex(random_bytes(12));
    }

    /** Words of an older kind, with their dates written as elsewhere on the page. */
    #[AsTwigFilter('with_days', isSafe: ['html'])]
    public function withDays(string $words): string
    {
        $pieces = preg_split('/\b(\d{4}-\d{2}-\d{2})\b/', $words, flags: \PREG_SPLIT_DELIM_CAPTURE);
        $written = array_map(fn (string $piece): string => self::isDay($piece) ? $this->dateOf(Day::parse($piece))
            : htmlspecialchars($piece, \ENT_QUOTES | \ENT_SUBSTITUTE), false === $pieces ? [] : $pieces);

        return implode('', $written);
    }

    private static function isDay(string $piece): bool
    {
        return 1 === preg_match('/^(\d{4})-(\d{2})-(\d{2})$/', $piece, $found) && checkdate((int) $found[2], (int) $found[3],
            (int) $found[1]);
    }

    private static function quantity(Quantity|Mass|Volume|Area $value): Quantity
    {
        return match (true) {
            $value instanceof Mass => Quantity::mass($value),
            $value instanceof Volume => Quantity::volume($value),
            $value instanceof Area => Quantity::area($value),
            default => $value,
        };
    }
}
