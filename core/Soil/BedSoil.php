<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

use JollyFurrow\Time\Day;

/** The soil of a bed as it is reckoned with: what tests say, and what is taken where none does. */
final readonly class BedSoil
{
    /** Years after which a test wants doing again (common practice: every three to four years). */
    private const OLD = 4;

    /**
     * @param SoilTest|null $test  of phosphorus and potassium, the newest; null: none, the levels are taken by use
     * @param float|null    $salt  dS/m of the paste
     * @param Day|null      $phDay of the test the pH is of
     */
    private function __construct(public SoilLevel $p, public SoilLevel $k, public ?float $ph, public float $organic,
        public Texture $texture, public ?float $salt, public ?SoilTest $test, public bool $isTested, public bool $isOld,
        public ?float $boron, public ?float $magnesium, public ?Day $phDay)
    {
    }

    /** @param list<SoilTest> $tests newest first */
    public static function of(array $tests, SoilLevel $untested, FeedRules $rules, Day $day): self
    {
        $newest = static function (\Closure $of) use ($tests): mixed {
            foreach ($tests as $test) {
                $value = $of($test);
                if (null !== $value) {
                    return $value;
                }
            }

            return null;
        };
        $p = $newest(static fn (SoilTest $t): ?SoilLevel => $t->phosphorus());
        $k = $newest(static fn (SoilTest $t): ?SoilLevel => $t->potassium());
        $test = $newest(static fn (SoilTest $t): ?SoilTest => null === $t->phosphorus() && null === $t->potassium() ? null : $t);
        $ph = $newest(static fn (SoilTest $t): ?float => $t->ph);
        $organic = $newest(static fn (SoilTest $t): ?float => $t->organic);
        $texture = $newest(static fn (SoilTest $t): ?Texture => $t->texture);
        $salt = $newest(static fn (SoilTest $t): ?float => $t->paste());
        $boron = $newest(static fn (SoilTest $t): ?float => $t->b);
        $phDay = $newest(static fn (SoilTest $t): ?Day => null === $t->ph ? null : $t->day);
        $magnesium = $newest(static fn (SoilTest $t): ?float => $t->mg);

        return new self($p instanceof SoilLevel ? $p : $untested, $k instanceof SoilLevel ? $k : $untested, self::number($ph),
            self::number($organic) ?? $rules->organic, $texture instanceof Texture ? $texture : $rules->texture, self::number($salt),
            $test instanceof SoilTest ? $test : null, $p instanceof SoilLevel && $k instanceof SoilLevel, $test instanceof SoilTest
            && $day->since($test->day) > self::OLD * 365, self::number($boron), self::number($magnesium), $phDay instanceof Day ? $phDay
                : null);
    }

    private static function number(mixed $value): ?float
    {
        return \is_float($value) ? $value : null;
    }
}
