<?php

declare(strict_types=1);

namespace App\Garden;

use JollyFurrow\Garden\DateForm;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Money;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Share;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Measure\Units;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Time\Weekday;
use Symfony\Component\Validator\Constraints as Assert;

/** Place and settings of a garden as they are typed. */
final class SettingsData
{
    #[Assert\NotBlank(message: 'Please write something here.')]
    #[Assert\Length(max: 120, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $name;
    #[Assert\NotBlank(message: 'Please write something here.')]
    #[Assert\Length(max: 120, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $placeName;
    public float $latitude;
    /** Metres. */
    public Quantity $altitude;
    public MonthDay $lastFrost;
    public MonthDay $firstFrost;
    public Units $units;
    public ?DateForm $dateForm;
    public ?string $timeZone;
    #[Assert\Regex('/^[A-Za-z]{3}$/', message: 'Write the three letters of a currency, for example EUR.')]
    public string $currency;
    /** @var array<Weekday> */
    #[Assert\Count(min: 1, minMessage: 'Choose at least one day of the week to sow on.')]
    public array $sowingDays;
    public string $recipe;
    /** @var array<string, Quantity> cents a bed metre and week, by place type */
    public array $rent;
    public float $shortageFactor;
    public Share $keepingShare;
    public Money $wage;
    /** @var array<string, int> years by place type */
    public array $rotation;
    public Length $compostDepth;
    /** Grams a square metre. */
    public Quantity $nitrogenRate;
    public Share $fertiliserNitrogen;
    /** @var array<string, Length|null> by Kit */
    public array $kit;

    public static function of(Garden $garden): self
    {
        $s = $garden->settings;
        $data = new self();
        $data->name = $garden->name;
        $data->placeName = $garden->place->name;
        $data->latitude = $garden->place->latitude;
        $data->altitude = Quantity::of($garden->place->altitude, Unit::Metre);
        $data->lastFrost = $garden->place->lastFrost;
        $data->firstFrost = $garden->place->firstFrost;
        $data->units = $s->units;
        $data->dateForm = $s->dateForm;
        $data->timeZone = $s->timeZone;
        $data->currency = $s->currency;
        $data->sowingDays = $s->sowingDays;
        $data->recipe = $s->recipe;
        $data->shortageFactor = $s->shortageFactor;
        $data->keepingShare = Share::of(min(1.0, $s->keepingShare));
        $data->wage = Money::fromCents($s->wage);
        $data->compostDepth = $s->compostDepth;
        $data->nitrogenRate = Quantity::of($s->nitrogenRate, Unit::GramPerSquareMetre);
        $data->fertiliserNitrogen = Share::of($s->fertiliserNitrogen / 100);
        $data->kit = array_map(Length::fromMicrometres(...), $s->kit);
        foreach (PlaceType::cases() as $place) {
            $data->rent[$place->value] = Quantity::of($s->rentAt($place), Unit::CentPerMetre);
            $data->rotation[$place->value] = $s->rotation[$place->value] ?? 0;
        }

        return $data;
    }

    public function place(): Place
    {
        return new Place($this->placeName, $this->latitude, (int) round($this->altitude->value), $this->lastFrost, $this->firstFrost);
    }

    public function settings(Settings $before): Settings
    {
        $days = array_values($this->sowingDays);

        return new Settings(
            $this->units,
            strtoupper($this->currency),
            [] === $days ? $before->sowingDays : $days,
            $this->recipe,
            array_map(static fn (Quantity $rent): float => $rent->value, $this->rent),
            $this->shortageFactor,
            $this->keepingShare->value,
            $this->wage->cents,
            $this->rotation,
            $this->compostDepth,
            $this->nitrogenRate->value,
            100 * $this->fertiliserNitrogen->value,
            array_map(static fn (Length $length): int => $length->micrometres, array_filter($this->kit)),
            $before->rules,
            $this->dateForm,
            $this->timeZone ?? '',
            $before->map,
        );
    }
}
