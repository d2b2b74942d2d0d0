<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Paste;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Measure\Length;
use JollyFurrow\Message\Message;
use JollyFurrow\Paste\BedRows;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Tests\Support\LittleGarden;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Beds of different lengths as growers list them: each kept right, or asked, none wrong in silence. */
final class BedRowsTest extends TestCase
{
    /** @return iterable<string, array{string, list<array{string, string, float, float, float, string}>}> */
    public static function lists(): iterable
    {
        yield 'typed with commas' => ["K1, 25 m, 75 cm, 40 cm\nK2, 17.5 m", [['K1', 'K', 25.0, 0.75, 0.4, 'field'],
            ['K2', 'K', 17.5, 0.75, 0.4, 'field']]];
        yield 'runs, a place and a block' => ["K9-K11, 80 ft, 30 in, tunnel\nP1 to P2, 12, 120, block North", [
            ['K9', 'K', 24.384, 0.762, 0.45, 'tunnel'], ['K10', 'K', 24.384, 0.762, 0.45, 'tunnel'], ['K11', 'K', 24.384, 0.762, 0.45,
                'tunnel'],
            ['P1', 'North', 12.0, 1.2, 0.45, 'field'], ['P2', 'North', 12.0, 1.2, 0.45, 'field']]];
        yield 'headings in another order, with units' => ["Block\tLength (ft)\tBed\tWidth, in\nSouth\t50\tK1\t36\n\t\tK2\t", [
            ['K1', 'South', 15.24, 0.9144, 0.45, 'field'], ['K2', 'K', 15.24, 0.9144, 0.45, 'field']]];
        yield 'semicolons and decimal commas' => ['K1;12,5;80', [['K1', 'K', 12.5, 0.8, 0.45, 'field']]];
        yield 'a name without a number' => ['Bed Nightshade Corner, 9 m', [['Nightshade Corner', 'Nightshade', 9.0, 0.75, 0.45, 'field']]];
    }

    /** @param list<array{string, string, float, float, float, string}> $beds */
    #[DataProvider('lists')]
    public function testRead(string $text, array $beds): void
    {
        $read = self::read($text);

        self::assertSame([], array_map(static fn (Message $m): string => $m->logged(), $read->faults));
        self::assertSame($beds, array_map(static fn (Bed $bed): array => [$bed->name, $bed->block, $bed->length->metres(),
            $bed->width->metres(), $bed->path->metres(), $bed->place->value], $read->beds));
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function faults(): iterable
    {
        yield 'there already, and twice' => ["A1, 20 m\nK1, 20 m\nK1, 20 m", ['taken 1', 'taken 3']];
        yield 'too long, no unit there is, no place' => ["K1, 900 m\nK2, 20 yards", ['because 1', 'because 2']];
        yield 'a place nobody knows' => ["bed,length,place\nK1,20 m,shed", ['not-understood 2']];
        yield 'what is nothing known' => ['K1, 20 m, long', ['not-understood 1']];
        yield 'no name' => ["bed,length\n,20 m", ['no-bed 2']];
        yield 'a name that parts an address' => ['K/1, 20 m', ['because 1']];
        yield 'a run without end' => ['K1-K999, 20 m', ['long-range 1']];
    }

    /** @param list<string> $faults */
    #[DataProvider('faults')]
    public function testAsked(string $text, array $faults): void
    {
        self::assertSame($faults, array_map(static fn (Message $m): string => $m->code->value.' '.self::line($m),
            self::read($text)->faults));
    }

    /** A first bed has nothing before it to be as long as. */
    public function testAnEmptyGardenMustHearALength(): void
    {
        $g = LittleGarden::on('2026-03-02');
        $garden = new Garden($g->name, $g->today, $g->place, $g->settings, [], [], [], $g->outlets, $g->products, [], []);

        self::assertSame(['no-length'], array_map(static fn (Message $m): string => (string) $m->code->value,
            BedRows::read("K1\nK2, 20 m", $garden, self::usual())->faults));
    }

    private static function line(Message $message): string
    {
        $line = $message->values['line'];
        self::assertIsInt($line);

        return (string) $line;
    }

    private static function read(string $text): BedRows
    {
        return BedRows::read($text, LittleGarden::on('2026-03-02'), self::usual());
    }

    private static function usual(): Bed
    {
        return new Bed('', 'A', 0, Length::fromMetres(25), Length::fromCentimetres(75), Length::fromCentimetres(45), PlaceType::Field);
    }
}
