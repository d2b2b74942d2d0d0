<?php

declare(strict_types=1);

namespace App\Tests\Garden;

use App\Codec\UnusableFile;
use App\File\GardenReader;
use App\File\GardenWriter;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use JollyFurrow\Land\Quarantine;
use JollyFurrow\Land\Temper;
use JollyFurrow\Measure\Length;
use JollyFurrow\Time\Day;

final class TemperPageTest extends AppCase
{
    public function testABedsTemperAndQuarantineAreKeptToldAndTakenBack(): void
    {
        $before = $this->snapshot()->beds;
        $form = $this->browser->request('GET', $this->path('/bed/A1/temper'))->selectButton('Save')->form();
        $this->browser->submit($form, ['wetness' => 'wet', 'warmth' => 'late', 'weeds' => 'few', 'shade' => 'none', 'pan' => '22 cm',
            'family' => 'Daisy', 'until' => '2030-01-01', 'why' => 'white mould']);
        self::assertResponseStatusCodeSame(303);
        $bed = $this->snapshot()->bedsByName()['A1'];
        self::assertEquals(new Temper('wet', 'late', 'few', 'none', Length::fromCentimetres(22), true), $bed->temper);
        self::assertEquals([new Quarantine('Daisy', Day::parse('2030-01-01'), 'white mould')], $bed->quarantine);
        $this->browser->followRedirect();
        self::assertStringContainsString('lies wet', $this->text());
        self::assertStringContainsString('Daisy family kept off', $this->text());
        $file = (new GardenWriter())->write($this->snapshot());
        self::assertEquals($this->snapshot()->beds, $this->service(GardenReader::class)->read($file)->beds);
        $this->browser->submitForm('Undo');
        self::assertEquals($before, $this->snapshot()->beds);
    }

    public function testAQuarantineIsLifted(): void
    {
        $fields = ['wetness' => 'fair', 'warmth' => 'fair', 'weeds' => 'few', 'shade' => 'none', 'pan' => '', 'water' => '1'];
        $this->post($this->path('/bed/A2/temper'), [...$fields, 'family' => 'Onion', 'until' => '2030-01-01', 'why' => '']);
        self::assertCount(1, $this->snapshot()->bedsByName()['A2']->quarantine);
        $this->post($this->path('/bed/A2/temper'), [...$fields, 'family' => '', 'until' => '', 'lift' => ['Onion']]);
        self::assertSame([], $this->snapshot()->bedsByName()['A2']->quarantine);
    }

    public function testWhatIsNotClearIsToldAtItsField(): void
    {
        $before = md5($this->everything());
        $fields = ['wetness' => 'fair', 'warmth' => 'fair', 'weeds' => 'few', 'shade' => 'none', 'pan' => '', 'family' => '',
            'until' => ''];
        foreach ([[['wetness' => 'swampy'], 'choose one of the list'], [['pan' => 'deep'], 'deep'],
            [['family' => 'Dragons', 'until' => '2030-01-01'], 'choose one of the list'],
            [['family' => 'Onion', 'until' => '2020-01-01'], 'has gone by'], [['family' => 'Onion', 'until' => '2030-02-31'],
            'does not exist']] as [$typed, $message]) {
            $this->post($this->path('/bed/A1/temper'), [...$fields, ...$typed]);
            self::assertResponseStatusCodeSame(422, $message);
            self::assertStringContainsString($message, $this->text());
        }
        self::assertSame($before, md5($this->everything()));
    }

    public function testABrokenTemperOfAFileIsToldAtItsBed(): void
    {
        $values = SmallGarden::values();
        \assert(\is_array($values['beds']) && \is_array($values['beds'][0]));
        $values['beds'][0]['temper'] = ['wetness' => 'swampy'];
        try {
            $this->service(GardenReader::class)->read((string) json_encode($values));
            self::fail('A swampy bed was taken.');
        } catch (UnusableFile $bad) {
            self::assertSame('beds[0].temper.wetness', $bad->faults[0]['path']);
        }
    }
}
