<?php

declare(strict_types=1);

namespace JollyFurrow\Laboratory;

use JollyFurrow\Soil\Extract;
use JollyFurrow\Soil\Nutrient;
use JollyFurrow\Soil\SaltWay;
use JollyFurrow\Soil\SoilUnit;

/** One column of a report as its heading says; what it does not say is null, and asked about. */
final readonly class ReportColumn
{
    private const EXTRACTS = ['olsen' => Extract::Olsen, 'bicarb' => Extract::Olsen, 'mehlich' => Extract::Mehlich3,
        'm3' => Extract::Mehlich3,
        'bray' => Extract::Bray1, 'morgan' => Extract::Morgan, 'cal' => Extract::Cal, 'ammonium nitrate' => Extract::AmmoniumNitrate,
        'nh4no3' => Extract::AmmoniumNitrate, 'acetate' => Extract::AmmoniumAcetate];

    private function __construct(public int $index, public string $heading, public ReportValue $value, public ?SoilUnit $unit,
        public ?Extract $extract, public ?SaltWay $salt, public bool $isOxide)
    {
    }

    /** @param array<string, string> $answers to what was asked, by name of the field */
    public static function of(int $index, string $heading, ReportValue $value, array $answers): self
    {
        $text = mb_strtolower($heading);
        $salt = 1 === preg_match('/1\s*:\s*2(?!\d)/', $text) ? SaltWay::OneToTwo : (1 === preg_match('/1\s*:\s*5/', $text)
            ? SaltWay::OneToFive
            : (str_contains($text, 'paste') ? SaltWay::Paste : null));

        return new self($index, $heading, $value, SoilUnit::tryFrom($answers['unit-'.$index] ?? '') ?? self::unit($text),
            Extract::tryFrom($answers['way-'.$index] ?? '') ?? self::extract($text), SaltWay::tryFrom($answers['way-'.$index] ?? '')
                ?? $salt,
            1 === preg_match('/p2o5|k2o|phosphate|potash/', $text) ? true : 'oxide' === ($answers['oxide-'.$index] ?? ''));
    }

    private static function unit(string $text): ?SoilUnit
    {
        return match (true) {
            1 === preg_match('#mg\s*/\s*100\s*g#', $text) => SoilUnit::MgPer100g,
            1 === preg_match('#mg\s*/\s*kg#', $text) => SoilUnit::MgPerKg,
            1 === preg_match('#mg\s*/\s*l#', $text) => SoilUnit::MgPerLitre,
            str_contains($text, 'ppm') => SoilUnit::Ppm,
            1 === preg_match('#lbs?\s*/?\s*(per\s*)?a(c|cre)?\b#', $text) => SoilUnit::LbPerAcre,
            1 === preg_match('#kg\s*/\s*ha#', $text) => SoilUnit::KgPerHa,
            default => null,
        };
    }

    private static function extract(string $text): ?Extract
    {
        foreach (self::EXTRACTS as $word => $extract) {
            if (1 === preg_match('/(^|\W)'.$word.'/', $text)) {
                return $extract;
            }
        }

        return null;
    }

    /** @return list<string> what is to be asked before its numbers mean anything: unit, way */
    public function asks(): array
    {
        $asks = $this->value->wantsUnit() && null === $this->unit ? ['unit'] : [];
        $isWayKnown = ReportValue::Salt === $this->value ? null !== $this->salt : null !== $this->extract;

        return $this->value->wantsWay() && !$isWayKnown ? [...$asks, 'way'] : $asks;
    }

    /** mg of the element a kg of soil, or the number as it is where it has no unit. */
    public function inMgPerKg(float $number): float
    {
        $oxide = match ($this->isOxide ? $this->value : null) {
            ReportValue::P => Nutrient::P_IN_P2O5,
            ReportValue::K => Nutrient::K_IN_K2O,
            default => 1.0,
        };

        return $this->value->wantsUnit() && null !== $this->unit ? $number * $this->unit->inMgPerKg() * $oxide : $number;
    }
}
