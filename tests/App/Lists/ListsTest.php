<?php

declare(strict_types=1);

namespace App\Tests\Lists;

use App\Lists\ListKind;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use PHPUnit\Framework\Attributes\DataProvider;

/** Lists go out as CSV and come in again: unchanged they change nothing, else they tell first what would. */
final class ListsTest extends AppCase
{
    #[DataProvider('units')]
    public function testAnUnchangedFileChangesNothing(string $units): void
    {
        $this->garden = $this->keep(SmallGarden::json(['settings' => ['units' => $units]]));
        $this->post($this->path('/station/read'), ['source' => 'station']);
        $before = $this->everything();
        foreach (ListKind::cases() as $kind) {
            $text = $this->out($kind->value);
            self::assertStringContainsString("\r\n", $text);
            if (!$kind->comesIn()) {
                $this->in($kind->value, $text);
                self::assertResponseStatusCodeSame(404);
                continue;
            }
            $this->in($kind->value, $text);
            self::assertResponseIsSuccessful();
            self::assertStringContainsString('0 new, 0 changed', $this->text());
            $this->in($kind->value, $text, true);
            self::assertSame($before, $this->everything(), $kind->value);
        }
    }

    /** @return iterable<string, array{string}> */
    public static function units(): iterable
    {
        yield 'metric' => ['metric'];
        yield 'US' => ['us'];
    }

    /**
     * @param array<string, string> $replace in the file as it went out
     * @param string                $told    in the first look
     * @param string                $then    in the file as it goes out then
     */
    #[DataProvider('changes')]
    public function testAChangeIsToldThenKeptAndUndone(string $list, array $replace, string $told, string $then): void
    {
        $this->post($this->path('/station/read'), ['source' => 'station']);
        $before = $this->exported();
        $text = strtr($this->out($list), $replace);
        $this->in($list, $text);
        self::assertResponseIsSuccessful();
        self::assertStringContainsString($told, $this->text());
        self::assertSame($before, $this->exported(), 'looking keeps nothing');
        $this->in($list, $text, true);
        self::assertResponseRedirects($this->path('/file/lists'));
        self::assertStringContainsString($then, $this->out($list));
        $this->browser->request('GET', $this->path('/file/lists'));
        $this->browser->submitForm('Undo');
        self::assertSame($before, $this->exported());
    }

    /** @return iterable<string, array{string, array<string, string>, string, string}> */
    public static function changes(): iterable
    {
        yield 'a bed longer, two new ones in a new block' => ['beds', ['A2,A,"25 m"' => 'A2,A,"30 m"',
            'Bed,Block' => "Our beds,,,,,\r\n\r\nBed,Block", 'T1,' => "N1,North,40 ft,30 in,45 cm,open field\r\n"
                ."N2,North,40 ft,30 in,45 cm,open field\r\nT1,"],
            '2 new, 1 changed', 'N2,North,"12.19 m"'];
        yield 'an outlet on two days, another called' => ['outlets', ['Boxes,Wed' => 'Boxes,"Sat + Wednesday"',
            "\r\nStall" => "\r\nInn,fri,,,2\r\nStall"],
            '1 new, 1 changed', 'Inn,Fri,1,3,2'];
        yield 'a product' => ['products', ['Price,"Made of"' => "Price,\"Made of\"\r\nPods,bag,2.5,2 snap peas + 0.5 leek"],
            '1 new, 0 changed',
            'Pods,bag,2.50,"2 Snap pea + 0.5 Leek"'];
        yield 'a product by weight' => ['products',
            ['Price,"Made of"' => "Price,\"Made of\"\r\nRocket,bag,4,1 lb of rocket"], '1 new, 0 changed',
            'Rocket,bag,4.00,"4.536 Arugula"'];
        yield 'promises' => ['promises', ['Outlet,Product,Day,Quantity' => "Outlet,Product,Day,Quantity\r\nstall,Lettuce,2026-10-10,12"],
            '1 new, 0 changed',
            'Stall,Lettuce,2026-10-10,12'];
        yield 'a reading in Fahrenheit' => ['readings', ['"Rain, mm"' => "\"Rain, mm\"\r\n2025-01-02,20 F,41 F,3"], '1 new, 0 changed',
            '2025-01-02,-6.67,5,3'];
        yield 'a harvest, by what is known of it' => ['harvests', [',Lot' => ",Lot\r\n"
            .'2026-02-10,radish,A1,12,baby,second,1.5,"slug holes",'], '1 new, 0 changed',
            '2026-02-10,Radish,A1,12,baby,second,1.5,"slug holes",260210-a1-radish'];
        yield 'what stands' => ['plantings',
            [',Locked,Key' => ",Locked,Key\r\nA1,radish,10 Feb,,half,,,,,\r\n"
                .'A1,spinach,12 Feb,,half,,,,,'], '2 new, 0 changed', 'A1,Spinach'];
    }

    /** @param list<string> $told */
    #[DataProvider('unclear')]
    public function testWhatIsNotClearIsToldByLineAndNothingIsKept(string $list, string $text, array $told): void
    {
        $before = $this->everything();
        $this->in($list, $text, true);
        self::assertResponseStatusCodeSame(422);
        foreach ($told as $one) {
            self::assertStringContainsString($one, $this->text());
        }
        self::assertStringContainsString('>'.explode(',', $text)[0].',', $this->text(), 'nothing typed is lost');
        self::assertSame($before, $this->everything());
    }

    /** @return iterable<string, array{string, string, list<string>}> */
    public static function unclear(): iterable
    {
        yield 'no headings' => ['beds', 'A9,A,25 m', ['must hold the headings, Bed among them']];
        yield 'beds' => ['beds', "Bed,Block,Length,Width,Path,Place\nA9,A,long,75 cm,45 cm,cellar\nA3,A,1 m,75 cm,45 cm,open field",
            ['Line 2, Length:', 'Line 2, Place: Write open field', 'Line 3, Length: Leek']];
        yield 'the same twice' => ['beds', "Bed,Block,Length,Width,Path\nA9,A,5 m,75 cm,45 cm\nA9,A,6 m,75 cm,45 cm",
            ['Line 3: The same as line 2.']];
        yield 'an outlet' => ['outlets', "Outlet,Days,Priority\nInn,someday,0\nBoxes,Mon,1", ['Line 2, Market days: Write days',
            'Line 2, Priority:',
            'promises are made on a day it would not be there']];
        yield 'a product' => ['products', "Product,Unit,Price,Made of\nBag,bag,cheap,2 sea kelp", ['Line 2, Price:',
            'Line 2, Made of: "2 sea kelp" is not clear']];
        yield 'a weight of what is counted' => ['products', "Product,Unit,Price,Made of\nBag,bag,3,1 lb of head lettuce",
            ['Line 2, Made of: Head lettuce is sold by the head, not by weight']];
        yield 'promises' => ['promises', "Outlet,Product,Day,Quantity\nNobody,Lettuce,2026-10-10,3\nStall,Lettuce,2026-10-11,-3",
            ['Line 2, Outlet: There is no such',
            'Line 3, Quantity:']];
        yield 'readings' => ['readings', "Day,Min,Max\n2025-01-02,9,4\n2026-03-02,1,4", ['Line 2, Highest, °C: The highest is below',
            'Line 3, Day: This day is not over yet']];
        yield 'harvests' => ['harvests', "Day,Crop,Bed,Amount,Grade,Lot\n2027-02-10,radish,A1,12,,\n2026-02-10,radsh,A1,12,,\n"
            ."2026-02-10,radish,Z9,many,fine,\n2026-02-10,radish,A1,1,,nothing", ['Line 2, Day: That day is still to come',
                'Line 3, Crop: There is no crop', 'Line 4, Bed: There is no bed', 'Line 4, Amount:', 'Line 4, Grade:',
                'Line 5, Lot: There is no lot of this code']];
        yield 'plantings' => ['plantings', "Bed,Crop,Sown,Key\nA1,radsh,10 Feb,\nA1,radish,10 Feb,nothing", ['Line 2, Crop:',
            'Line 3, Key: There is no planting']];
    }

    private function out(string $list): string
    {
        $this->browser->request('GET', $this->path('/file/lists/'.$list.'.csv'));
        self::assertResponseIsSuccessful();

        return (string) $this->browser->getResponse()->getContent();
    }

    private function in(string $list, string $text, bool $keep = false): void
    {
        $this->post($this->path('/file/lists/'.$list), ['text' => $text, ...($keep ? ['keep' => '1'] : [])]);
    }
}
