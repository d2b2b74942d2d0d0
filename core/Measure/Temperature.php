<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

/** A temperature in degrees Celsius. F = C x 1.8 + 32. */
final readonly class Temperature
{
    private const COLDEST = -90.0;
    private const HOTTEST = 90.0;

    private function __construct(public float $celsius)
    {
    }

    public static function fromCelsius(float $celsius): self
    {
        return new self($celsius);
    }

    public static function fromFahrenheit(float $fahrenheit): self
    {
        return new self(($fahrenheit - 32) / 1.8);
    }

    /**
     * Reads "-2.5", "24 °C", "75F"; a bare number counts in the units given.
     *
     * @throws InvalidTemperature
     */
    public static function parse(string $text, Units $bare, float $least = self::COLDEST, float $most = self::HOTTEST): self
    {
        if (1 !== preg_match('/^\s*([-−+]?\d{1,3}(?:[.,]\d{1,2})?)\s*°?\s*([cCfF]?)\s*$/u', $text, $m)) {
            throw InvalidTemperature::notOne($text);
        }
        $number = (float) strtr($m[1], ['−' => '-', ',' => '.']);
        $isFahrenheit = '' === $m[2] ? Units::UsCustomary === $bare : 'F' === strtoupper($m[2]);
        $temperature = $isFahrenheit ? self::fromFahrenheit($number) : self::fromCelsius($number);
        if ($temperature->celsius < $least || $temperature->celsius > $most) {
            throw InvalidTemperature::outside($text, $least, $most);
        }

        return $temperature;
    }
}
