<?php

declare(strict_types=1);

namespace App\Tests\Wording;

use App\Wording\Formatter;
use JollyFurrow\Garden\DateForm;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Measure\Units;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\MonthDay;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** How a garden writes its days and quantities. */
final class FormatterTest extends TestCase
{
    #[TestWith([Units::Metric, null, 'Tue 3 Mar 2026', '3 Mar', '14 May'])]
    #[TestWith([Units::UsCustomary, null, 'Tue, Mar 3, 2026', 'Mar 3', 'May 14'])]
    #[TestWith([Units::UsCustomary, DateForm::DayFirst, 'Tue 3 Mar 2026', '3 Mar', '14 May'])]
    #[TestWith([Units::Metric, DateForm::MonthFirst, 'Tue, Mar 3, 2026', 'Mar 3', 'May 14'])]
    public function testDaysFollowTheUnitsUnlessTheyAreSet(Units $units, ?DateForm $form, string $day, string $short, string $yearly): void
    {
        $formatter = new Formatter($units, 'EUR', $form ?? DateForm::usual($units));

        self::assertSame([$day, $short, $yearly], [$formatter->day(Day::parse('2026-03-03'))->text,
            $formatter->shortDay(Day::parse('2026-03-03'))->text, $formatter->yearly(MonthDay::parse('05-14'))->text]);
    }

    /** A difference of degrees is not a temperature: 10 K are 18 °F, 10 °C are 50 °F. */
    #[TestWith([10.0, Unit::Kelvin, '10 °C', '18 °F'])]
    #[TestWith([10.0, Unit::Celsius, '10 °C', '50 °F'])]
    #[TestWith([310.0, Unit::Metre, '310 m', '1017 ft'])]
    #[TestWith([30.48, Unit::Metre, '30.48 m', '100 ft'])]
    #[TestWith([100.0, Unit::Gram, '100 g', '3.53 oz'])]
    #[TestWith([25.4, Unit::RainMillimetre, '25 mm', '1 in'])]
    public function testInBothSystems(float $value, Unit $unit, string $metric, string $us): void
    {
        $written = static fn (Units $units): string => (new Formatter($units, 'EUR', DateForm::usual($units)))->quantity(Quantity::of($value, $unit))->text;

        self::assertSame([$metric, $us], [$written(Units::Metric), $written(Units::UsCustomary)]);
    }

    /** What is typed is read in either system; bare, in the garden's own. */
    #[TestWith(['10', Unit::RainMillimetre, Units::Metric, 10.0])]
    #[TestWith(['1', Unit::RainMillimetre, Units::UsCustomary, 25.4])]
    #[TestWith(['10 mm', Unit::RainMillimetre, Units::UsCustomary, 10.0])]
    #[TestWith(['−4,5 °C', Unit::Celsius, Units::UsCustomary, -4.5])]
    #[TestWith(['50 °F', Unit::Celsius, Units::Metric, 10.0])]
    public function testIsReadInEitherSystem(string $typed, Unit $unit, Units $units, float $value): void
    {
        self::assertEqualsWithDelta($value, (new Formatter($units, 'EUR', DateForm::usual($units)))->read($typed, $unit)->value, 1e-9);
    }
}
