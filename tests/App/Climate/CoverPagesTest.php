<?php

declare(strict_types=1);

namespace App\Tests\Climate;

use App\Codec\UnusableFile;
use App\File\GardenReader;
use App\File\GardenWriter;
use App\Store\Snapshot;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Shelter\Purpose;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

final class CoverPagesTest extends AppCase
{
    private const QUERY = 'cover=low-tunnel&purpose=growth&from=2026-08-20&to=2026-10-20';

    protected function setUp(): void
    {
        parent::setUp();
        $this->garden = $this->keep((string) file_get_contents(__DIR__.'/../../../demo/garden.json'));
        $this->post($this->path('/forward'), ['crop' => 'lettuce-leaf', 'where' => 'block:B', 'method' => '', 'every' => '1',
            'size' => 'length', 'length' => '2 m', 'from' => '2026-08-15', 'until' => '2026-08-15']);
    }

    public function testACoverIsTriedThenKeptWithItsNewDatesAndTakenBackInOneStep(): void
    {
        $planting = $this->planting();
        $id = $this->service(Snapshot::class)->plantingIds($this->garden)[$planting->key];
        $before = $this->snapshot();
        $this->browser->request('GET', $this->path('/planting/'.$id.'/cover?'.self::QUERY));
        self::assertResponseIsSuccessful();
        self::assertSelectorTextContains('#effect', 'then');
        self::assertSelectorTextContains('main', 'Open for weeding');
        self::assertTrue($before == $this->snapshot(), 'trying changes nothing');

        $this->browser->submitForm('Save');
        self::assertResponseStatusCodeSame(303);
        self::assertTrue($this->planting()->ready->isBefore($planting->ready));
        self::assertContainsEquals(Protection::overPlanting($planting->key, Cover::LowTunnel, Purpose::Growth,
            Period::fromFirstToLast(Day::parse('2026-08-20'), Day::parse('2026-10-20'))), $this->snapshot()->protections);
        $this->browser->followRedirect();
        self::assertStringContainsString('low tunnel from that day', $this->text());
        $this->browser->request('GET', $this->path('/wall'));
        self::assertSelectorExists('path.hoops');

        $this->browser->request('GET', $this->path('/log'));
        $this->browser->submitForm('Take back');
        self::assertTrue($before == $this->snapshot(), 'taken back, all is as before');
    }

    public function testTakenOffTheDatesComeBack(): void
    {
        $before = $this->snapshot()->protections;
        $ready = $this->planting()->ready;
        $bed = $this->planting()->pieces[0]->bed;
        $this->post($this->path('/bed/'.$bed.'/cover'), ['cover' => 'low-tunnel', 'purpose' => 'frost', 'from' => '2026-08-20',
            'to' => '2026-10-20']);
        self::assertResponseStatusCodeSame(303);
        self::assertFalse($this->planting()->ready->equals($ready));
        $this->browser->request('GET', $this->path('/bed/'.$bed.'/cover'));
        $this->browser->submitForm('Take it out');
        self::assertResponseStatusCodeSame(303);
        self::assertTrue($this->planting()->ready->equals($ready));
        self::assertEquals($before, $this->snapshot()->protections);
        $this->post($this->path('/cover/none/off'), []);
        self::assertResponseStatusCodeSame(404);
    }

    public function testWhatIsNotClearIsToldAtItsField(): void
    {
        foreach (['from=2026-08-20&to=2026-08-01&cover=low-tunnel&purpose=growth' => 'comes off before it is put on',
            'from=2026-02-30&to=2026-08-01&cover=low-tunnel&purpose=growth' => 'does not exist',
            'from=2026-08-20&to=2029-08-01&cover=low-tunnel&purpose=growth' => 'two years at most',
            'from=2026-08-20&to=2026-08-21&cover=umbrella&purpose=growth' => 'choose one of the list',
            'from=2026-08-20&to=2026-08-21&cover=row-cover&purpose=beauty' => 'choose one of the list'] as $query => $message) {
            $this->browser->request('GET', $this->path('/bed/A1/cover?'.$query));
            self::assertResponseStatusCodeSame(422, $query);
            self::assertStringContainsString($message, $this->text());
        }
        $this->browser->request('GET', $this->path('/bed/Z9/cover'));
        self::assertResponseStatusCodeSame(404);
    }

    public function testHeatersComeWithTheirCaution(): void
    {
        $this->browser->request('GET', $this->path('/bed/T1-1/cover?cover=heated&purpose=frost&from=2026-08-20&to=2026-10-20'));

        self::assertResponseIsSuccessful();
        self::assertStringContainsString('carbon monoxide', $this->text());
    }

    public function testTheGardenFileCarriesCoversAndRefusesBrokenOnes(): void
    {
        $this->post($this->path('/bed/A1/cover'), ['cover' => 'row-cover', 'purpose' => 'insects', 'from' => '2026-08-20',
            'to' => '2026-10-20']);
        $garden = $this->service(Snapshot::class)->of($this->garden, whole: true);
        $read = $this->service(GardenReader::class)->read((new GardenWriter())->write($garden));
        self::assertNotSame([], $read->protections);
        self::assertEquals($garden->protections, $read->protections);

        foreach ([['cover' => 'row-cover', 'purpose' => 'frost', 'from' => '2026-04-01', 'to' => '2026-05-01'],
            ['bed' => 'Z9', 'cover' => 'row-cover', 'purpose' => 'frost', 'from' => '2026-04-01', 'to' => '2026-05-01'],
            ['bed' => 'A1', 'cover' => 'none', 'purpose' => 'frost', 'from' => '2026-04-01', 'to' => '2026-05-01'],
            ['bed' => 'A1', 'cover' => 'row-cover', 'purpose' => 'frost', 'from' => '2026-05-01', 'to' => '2026-04-01']] as $broken) {
            try {
                $this->service(GardenReader::class)->read((string) json_encode([...SmallGarden::values(), 'protections' => [$broken]]));
                self::fail('A broken cover was taken.');
            } catch (UnusableFile $bad) {
                self::assertStringStartsWith('protections[0]', $bad->faults[0]['path']);
            }
        }
        try {
            $this->service(GardenReader::class)->read((string) json_encode([...SmallGarden::values(),
                'own_values' => [['crop' => 'radish', 'value' => 'rows', 'is' => 'many', 'note' => '']]]));
            self::fail('A broken value was taken.');
        } catch (UnusableFile $bad) {
            self::assertStringContainsString('a whole number from 1 to 20', $bad->faults[0]['message']);
        }
    }

    private function planting(): Planting
    {
        return array_values(array_filter($this->snapshot()->plantings->all(), static fn (Planting $p): bool => '2026-08-15' === $p->sow->iso() && 'lettuce-leaf' === $p->item))[0];
    }
}
