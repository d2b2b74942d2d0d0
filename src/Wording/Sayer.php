<?php

declare(strict_types=1);

namespace App\Wording;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Exception\BadInput;
use JollyFurrow\Garden\DateForm;
use JollyFurrow\Measure\Goods;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Money;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Units;
use JollyFurrow\Message\Message;
use JollyFurrow\Message\Refusal;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\Working;
use Symfony\Contracts\Translation\TranslatorInterface;

/**
 * Puts messages and the core's own words into sentences, with quantities and dates as the garden of the page writes them.
 * A message is found in the translation files under its enum and case: Rule::NoSuchBed is "rule.no-such-bed".
 *
 * @phpstan-import-type Value from Message
 */
final class Sayer
{
    private ?Formatter $formatter = null;

    public function __construct(private readonly TranslatorInterface $translator)
    {
    }

    /** From now on the words are those of this garden. */
    public function speakFor(Formatter $formatter): void
    {
        $this->formatter = $formatter;
    }

    /** Of the page's garden; pages of no garden write as most do. */
    public function formatter(): Formatter
    {
        return $this->formatter ??= new Formatter(Units::Metric, 'EUR', DateForm::DayFirst);
    }

    /** Nothing but text: for attributes, labels, mails and the log. */
    public function text(Message|string|null $message): string
    {
        return $message instanceof Message ? $this->trans($message, static fn (Written $w): string => $w->text,
            static fn (string $s): string => $s) : $message ?? '';
    }

    /** With every quantity and date marked for machines; names are escaped. */
    public function html(Message|string|null $message): string
    {
        $escape = static fn (string $s): string => htmlspecialchars($s, \ENT_QUOTES | \ENT_SUBSTITUTE);

        return $message instanceof Message ? $this->trans($message, static fn (Written $w): string => $w->html(), $escape)
            : $escape($message ?? '');
    }

    /** What is wrong with what was typed, in the garden's own units. */
    public function why(BadInput $bad): string
    {
        return $bad instanceof Refusal ? $this->text($bad->said()) : $bad->getMessage();
    }

    /**
     * A value of any kind as HTML; a list is written one after the other.
     *
     * @param mixed $value a value of a message, a length (as a long measure), a day of every year, or a list of them
     */
    public function show(mixed $value): string
    {
        $format = $this->formatter();

        return match (true) {
            $value instanceof Message => $this->html($value),
            $value instanceof Quantity => $format->quantity($value)->html(),
            $value instanceof Goods => $format->goods($value)->html(),
            $value instanceof Length => $format->quantity(Quantity::long($value))->html(),
            $value instanceof Day => $format->date($value)->html(),
            $value instanceof MonthDay => $format->yearly($value)->html(),
            $value instanceof Money => $format->price($value)->html(),
            $value instanceof Prose => $value->html($format),
            $value instanceof \BackedEnum => htmlspecialchars($this->word($value)),
            \is_array($value) => str_replace([' ,', ' :'], [',', ':'], implode(' ', array_map($this->show(...), $value))),
            \is_scalar($value) => htmlspecialchars((string) $value, \ENT_QUOTES | \ENT_SUBSTITUTE),
            default => throw new \LogicException(get_debug_type($value).' is not written on pages.'),
        };
    }

    /** "3 Mar", for the log and other text. */
    public function shortDay(Day $day): string
    {
        return $this->formatter()->shortDay($day)->text;
    }

    /** "12.5 m", for the log and other text. */
    public function long(Length $length): string
    {
        return $this->formatter()->quantity(Quantity::long($length))->text;
    }

    /** "12 heads", for the log and other text. */
    public function goods(Goods $goods): string
    {
        return $this->formatter()->goods($goods)->text;
    }

    /** The word for one case of an enum. */
    public function word(\BackedEnum $case): string
    {
        return $this->translator->trans(self::id($case));
    }

    /** What is no seed is planted, not sown. */
    public function datesOf(Planting $planting, ?Crop $crop = null): Message
    {
        $isSown = $planting->sow->equals($planting->ground);
        $days = ['sow' => $planting->sow, 'ready' => $planting->ready, 'clear' => $planting->clear];

        $code = null === $crop || $crop->habits->stock->isSeed() ? PlantingDates::SownInTheBed : PlantingDates::Planted;

        return $isSown ? Message::of($code, ...$days) : Message::of(PlantingDates::RaisedAndPlanted,
            ...[...$days, 'ground' => $planting->ground]);
    }

    public function button(Happening $what): string
    {
        return $this->translator->trans('happening-button.'.$what->value);
    }

    /** What a working works out. */
    public function title(Working $working): string
    {
        return $this->translator->trans(self::id($working->sum).'.title');
    }

    /** Its formula in words. */
    public function formula(Working $working): string
    {
        return $this->translator->trans(self::id($working->sum).'.formula');
    }

    /** What an input is, as HTML. */
    public function label(Working $working, Input $input): string
    {
        return null === $input->label ? htmlspecialchars($this->translator->trans(self::id($working->sum).'.'.$input->name))
            : $this->html($input->label);
    }

    /** "from memory: ...", "this garden: settings" */
    public function source(Source $source): string
    {
        $note = null === $source->from ? $source->note : $this->word($source->from);

        return $this->word($source->kind).('' === $note ? '' : ': '.$note);
    }

    public static function id(\BackedEnum $case): string
    {
        $class = $case::class;
        $short = substr($class, (int) strrpos($class, '\\') + 1);

        return strtolower((string) preg_replace('/(?<=[a-z])(?=[A-Z])/', '-', $short)).'.'.$case->value;
    }

    /**
     * @param \Closure(Written): string $write
     * @param \Closure(string): string  $escape
     */
    private function trans(Message $message, \Closure $write, \Closure $escape): string
    {
        $values = [];
        foreach ($message->values as $name => $value) {
            $values[$name] = match (true) {
                $value instanceof Message => $this->trans($value, $write, $escape),
                $value instanceof Day => $write($message->code instanceof PlantingDates ? $this->formatter()->shortDay($value)
                    : $this->formatter()->date($value)),
                $value instanceof Quantity => $write($this->formatter()->quantity($value)),
                $value instanceof Goods => $write($this->formatter()->goods($value)),
                $value instanceof Money => $write($this->formatter()->price($value)),
                $value instanceof \BackedEnum => $escape($this->word($value)),
                \is_array($value) => implode(', ', array_map(fn (\BackedEnum|Message $one): string => $one instanceof Message
                    ? $this->trans($one, $write, $escape) : $escape($this->word($one)), $value)),
                \is_string($value) => $escape($value),
                default => $value,
            };
        }

        return $this->translator->trans(self::id($message->code), $values);
    }
}
