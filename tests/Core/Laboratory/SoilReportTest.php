<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Laboratory;

use JollyFurrow\Laboratory\ReportColumn;
use JollyFurrow\Laboratory\ReportRow;
use JollyFurrow\Laboratory\ReportValue;
use JollyFurrow\Laboratory\SoilReport;
use JollyFurrow\Soil\Extract;
use JollyFurrow\Soil\SaltWay;
use JollyFurrow\Soil\SoilLevel;
use JollyFurrow\Soil\SoilTest;
use JollyFurrow\Soil\SoilUnit;
use JollyFurrow\Soil\Texture;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Tables of laboratories, good ones and bad ones: what they do not say is asked, never guessed. */
final class SoilReportTest extends TestCase
{
    private const GOOD = [
        ['Hollow Laboratory, report 17', '', '', '', '', '', ''],
        ['Sample', 'Date', 'pH', 'Organic matter %', 'P (Olsen) mg/kg', 'K ammonium nitrate ppm', 'EC 1:2 dS/m'],
        ['A1', '2025-10-02', '5.6', '4.2', '31', '90', '0.8'],
        ['Block T', '2025-10-02', '6,9', '7,5', '<80', '1 240', '2.4'],
    ];

    public function testAGoodReport(): void
    {
        $report = $this->read(self::GOOD);
        $tests = $report->tests(Day::parse('2026-01-01'), ['l1'], 'Hollow Laboratory');

        self::assertTrue($report->isPlain());
        self::assertSame([['l2', 'A1', '', '2025-10-02', 5.6, 31.0, 90.0], ['l3', '', 'T', '2025-10-02', 6.9, 80.0, 1240.0]],
            array_map(static fn (SoilTest $t): array => [$t->key, $t->bed, $t->block, $t->day->iso(), $t->ph, $t->p, $t->k], $tests));
        self::assertSame([Extract::Olsen, Extract::AmmoniumNitrate, SaltWay::OneToTwo, 'Hollow Laboratory A1'], [$tests[0]->pBy,
            $tests[0]->kBy, $tests[0]->saltBy, $tests[0]->words]);
        self::assertSame(SoilLevel::High, $tests[0]->phosphorus());
    }

    /** Units in a row of their own, columns in another order, oxides: 71 mg P2O5 in 100 g are 310 mg P a kg. */
    public function testUnitsInARowOfTheirOwnAndOxides(): void
    {
        $tests = $this->read([['K2O', 'Texture', 'P2O5 CAL', 'Lab no', 'pH'], ['mg/100g', '', 'mg/100g', '', ''], ['20', 'sandy loam',
            '71', 'A2',
            '6.0']], ['way-0' => 'cal'])->tests(Day::parse('2026-01-01'), [], '');

        self::assertEqualsWithDelta([309.8, 166.0], [$tests[0]->p, $tests[0]->k], 0.1);
        self::assertSame([Texture::SandyLoam, 'A2'], [$tests[0]->texture, $tests[0]->bed]);
    }

    /** No unit, no method, no way of shaking: each is asked, and its answer counts. */
    public function testWhatIsNotSaidIsAsked(): void
    {
        $bad = [['Sample', 'pH', 'Phosphorus', 'EC'], ['A1', '6.2', '50', '1.1']];
        $report = $this->read($bad);
        $asks = array_map(static fn (ReportColumn $c): array => [$c->value->value, $c->asks()], $report->columns);

        self::assertFalse($report->isPlain());
        self::assertSame([['sample', []], ['ph', []], ['p', ['unit', 'way']], ['salt', ['way']]], $asks);
        $answered = $this->read($bad, ['unit-2' => SoilUnit::LbPerAcre->value, 'way-2' => Extract::Mehlich3->value, 'oxide-2' => 'oxide',
            'way-3' => SaltWay::Paste->value]);
        self::assertTrue($answered->isPlain());
        self::assertEqualsWithDelta(50 * 0.5 * 0.4364, $answered->tests(Day::parse('2026-01-01'), [], '')[0]->p, 1e-9);
    }

    public function testASampleOfNoBedIsAskedAbout(): void
    {
        $table = [['Sample', 'pH', 'Organic matter'], ['Behind the barn', '6.2', '3'], ['a3', '6.4', '3']];
        $places = static fn (SoilReport $r): array => array_map(static fn (ReportRow $row): ?string => $row->place, $r->rows);

        self::assertSame([null, 'A3'], $places($this->read($table)));
        self::assertFalse($this->read($table)->isPlain());
        self::assertSame(['T', 'A3'], $places($this->read($table, ['place-1' => 'T'])));
        self::assertCount(1, $this->read($table, ['place-1' => '-'])->tests(Day::parse('2026-01-01'), [], ''));
    }

    /** Two samples of one bed: which counts, or their mean. */
    public function testTwoSamplesOfOneBed(): void
    {
        $table = [['Sample', 'pH', 'Organic matter'], ['A1', '6.0', '3'], ['A1', '6.4', '5']];
        $report = $this->read($table);
        $key = (string) array_key_first($report->twice);
        $ph = fn (string $answer): array => array_map(static fn (SoilTest $t): ?float => $t->ph, $this->read($table,
            [SoilReport::field($key) => $answer])
            ->tests(Day::parse('2026-01-01'), [], ''));

        self::assertFalse($report->isPlain());
        self::assertSame([[6.2], [6.0], [6.4]], [$ph(SoilReport::MEAN), $ph('1'), $ph('2')]);
    }

    public function testACellThatIsNoNumberIsShown(): void
    {
        $report = $this->read([['Sample', 'pH', 'Organic matter'], ['A1', 'acid', '3']]);

        self::assertSame(['acid'], $report->rows[0]->wrong);
        self::assertFalse($report->isPlain());
    }

    public function testWhatIsNoReport(): void
    {
        self::assertSame([[], false], [$this->read([['Carrots', '2 €'], ['Leeks', '3 €']])->rows, $this->read([])->isPlain()]);
    }

    #[TestWith(['EC (1:2), mS/cm', ReportValue::Salt])]
    #[TestWith(['Mg mg/kg', ReportValue::Mg])]
    #[TestWith(['S (SO4) ppm', ReportValue::S])]
    #[TestWith(['Buffer pH', ReportValue::Buffer])]
    #[TestWith(['P ppm', ReportValue::P])]
    #[TestWith(['Remarks', null])]
    public function testHeadings(string $heading, ?ReportValue $value): void
    {
        self::assertSame($value, ReportValue::of($heading));
    }

    /**
     * @param list<list<string>>    $table
     * @param array<string, string> $answers
     */
    private function read(array $table, array $answers = []): SoilReport
    {
        return SoilReport::read($table, $answers, LittleGarden::on('2026-03-02'));
    }
}
