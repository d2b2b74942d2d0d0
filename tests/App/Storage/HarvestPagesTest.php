<?php

declare(strict_types=1);

namespace App\Tests\Storage;

use App\Store\Snapshot;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use JollyFurrow\Book\OwnValue;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Keep\Holdings;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Readiness\HarvestUse;
use JollyFurrow\Storage\Flaw;
use JollyFurrow\Storage\Grade;
use JollyFurrow\Storage\Handling;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\PlaceDay;
use JollyFurrow\Supply\Lot;
use JollyFurrow\Supply\TrueSupply;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;

/** A harvest through to where it lies, where it goes and what may not be picked. Leeks stand on A3. */
final class HarvestPagesTest extends AppCase
{
    private const LEEK = 'leek@2025-04-22#1';
    private const STORES = ['stores' => [
        ['key' => 'cold', 'name' => 'Cold room', 'kind' => 'cold-room', 'celsius' => 1.0, 'humidity' => 95, 'crates' => 10],
        ['key' => 'shed', 'name' => 'Shed', 'kind' => 'shelf', 'celsius' => 11.0, 'humidity' => 70]]];

    protected function setUp(): void
    {
        parent::setUp();
        $this->garden = $this->keep(SmallGarden::json(self::STORES));
    }

    /** Three taps: the bed, how much, Save. It makes its lot, and the planting is noted as picked. */
    public function testAHarvestInThreeTaps(): void
    {
        $page = $this->browser->request('GET', $this->path('/harvest'));
        $this->browser->click($page->filter('.tap-list a:contains("A3")')->link());
        $this->browser->submitForm('Save', ['amount' => '40', 'place' => 'cold']);
        self::assertResponseRedirects();
        $garden = $this->snapshot();

        self::assertSame([['260302-a3-leek', 4000, 'cold', Grade::First]], array_map(static fn (HarvestLot $l): array => [$l->key,
            $l->hundredths, $l->place, $l->grade], $garden->store->harvests));
        self::assertSame([[Happening::Picked, 40.0]], array_map(static fn (FieldNote $n): array => [$n->what, $n->units], $garden->notes));
        $this->browser->request('GET', $this->path('/store'));
        self::assertStringContainsString('40 stalks', $this->text());
        $this->browser->request('GET', $this->path('/labels'));
        self::assertStringContainsString('260302-a3-leek', $this->text());
    }

    /** The stall wants leeks on Saturday: the line of the list opens the form with the amount in it, the command says the same. */
    public function testFromThePickListToTheLot(): void
    {
        /** @var list<array<string, mixed>> $products */
        $products = SmallGarden::values()['products'];
        $products[] = ['key' => 'leek', 'name' => 'Leek', 'unit' => 'stalk', 'price_cents' => 90, 'parts' => [['item' => 'leek',
            'units' => 1.0]]];
        $file = SmallGarden::json(['products' => $products, 'promises' => [['outlet' => 'stall',
            'product' => 'leek', 'day' => '2026-03-07', 'quantity' => 19]]] + self::STORES);
        $this->garden = $this->keep($file);
        $this->browser->request('GET', $this->path('/pick'));
        self::assertStringContainsString(': 1 to pick in 0.5 h, 2 crates.', $this->text());
        $this->browser->request('GET', $this->path('/load?day=2026-03-07'));
        self::assertStringContainsString('Stall: 2 crates', $this->text());
        self::assertStringContainsString('A3, Sat 7 Mar', $this->text());
        $this->browser->request('GET', $this->path('/load/cards?day=2026-03-07'));
        self::assertStringContainsString('0.90', $this->text());
        self::assertStringNotContainsString('Corn', $this->text(), 'nothing of it is loaded');
        $page = $this->browser->request('GET', $this->path('/pick'));
        $this->browser->click($page->filter('.pick-list a:contains("A3")')->link());
        $this->browser->submitForm('Save', []);
        self::assertResponseRedirects();
        self::assertSame([2200], array_map(static fn (HarvestLot $l): int => $l->hundredths, $this->snapshot()->store->harvests),
            '19 with the packing loss');

        $path = (string) tempnam(sys_get_temp_dir(), 'pick');
        file_put_contents($path, $file);
        $tester = new CommandTester((new Application(self::$kernel ?? self::bootKernel()))->find('pick'));
        self::assertSame(0, $tester->execute(['file' => $path], ['capture_stderr_separately' => true]));
        unlink($path);
        self::assertStringContainsString('"beds":["A3"],"planting":"leek@2025-04-22#1","units":22,"outlets":{"stall":22}',
            (string) preg_replace('/\s+/', '', $tester->getDisplay()));
    }

    /** Every second leek pulled thin is no harvest of the grown: nothing is noted, and it is offered before the rest is ready. */
    public function testThinnings(): void
    {
        /** @var list<array<string, mixed>> $plantings */
        $plantings = SmallGarden::values()['plantings'];
        $this->garden = $this->keep(SmallGarden::json(['plantings' => [['ready' => '2026-03-20'] + $plantings[0]]] + self::STORES));
        $page = $this->browser->request('GET', $this->path('/harvest'));
        self::assertStringContainsString('Young: thinnings, baby, new (1)', $this->text());
        $this->browser->click($page->filter('.tap-list a:contains("A3")')->link());
        self::assertStringContainsString('every second pulled and bunched', $this->text());
        $this->browser->submitForm('Save', ['amount' => '30', 'use' => 'thinnings', 'place' => '']);
        self::assertResponseRedirects();

        self::assertSame([[HarvestUse::Thinnings, 3000]], array_map(static fn (HarvestLot $l): array => [$l->use, $l->hundredths],
            $this->snapshot()->store->harvests));
        self::assertSame([], $this->snapshot()->notes);
        $this->browser->request('GET', $this->path('/lots.csv'));
        self::assertStringContainsString(',thinnings,', (string) $this->browser->getResponse()->getContent());
        $this->browser->request('GET', $this->path('/ready'));
        self::assertStringContainsString('Next: Leek on A3, about <strong>Fri 20 Mar', $this->text());
    }

    /** Three lots of carrots that spoiled after forty days: the store says so, and the book goes by it from then on. */
    public function testOwnRecordsOverTheHandbook(): void
    {
        $lots = $handlings = [];
        foreach ([1, 2, 3] as $n) {
            $lots[] = ['key' => 'c-'.$n, 'day' => '2025-11-0'.$n, 'item' => 'carrot-storage', 'variety' => 'carrot-storage',
                'grade' => 'first', 'hundredths' => 1000, 'store' => 'cold'];
            $handlings[] = ['key' => 'h-'.$n, 'lot' => 'c-'.$n, 'day' => '2025-12-1'.$n, 'kind' => 'culled', 'hundredths' => 900,
                'from' => 'cold'];
        }
        $this->garden = $this->keep(SmallGarden::json(['harvests' => $lots, 'handlings' => $handlings] + self::STORES));
        $this->browser->request('GET', $this->path('/store'));
        self::assertStringContainsString('3 lots, 3 spoiled', $this->text());
        $this->browser->submitForm('Go by yours');
        self::assertResponseRedirects();
        self::assertSame([['carrot-storage', 'store_days', '44..44', '3 lots, 3 of them spoiled']], array_map(
            static fn (OwnValue $v): array => [$v->crop, $v->name, $v->is, $v->note], $this->snapshot()->own));
        $this->browser->request('GET', $this->path('/store'));
        self::assertStringNotContainsString('Go by yours', $this->text());
    }

    /** What a phone kept without reception comes with a token: sent twice it is one harvest; what is wrong is answered in words. */
    public function testSentLaterAndTwice(): void
    {
        $send = function (string $amount, string $token): array {
            $this->post($this->path('/harvest'), ['amount' => $amount, 'place' => 'cold', 'token' => $token,
                'planting' => $this->service(Snapshot::class)->plantingIds(
                    $this->garden)[self::LEEK], 'day' => '2026-03-02', 'grade' => 'first'], true);

            return [$this->browser->getResponse()->getStatusCode(), json_decode((string) $this->browser->getResponse()->getContent(),
                true)];
        };
        $first = $send('12', 'a-b-c');
        self::assertSame([200, ['kept' => 'Harvested: 12 stalks leek from A3']], $first);
        self::assertSame($first, $send('12', 'a-b-c'), 'the same answer');
        self::assertCount(1, $this->snapshot()->store->harvests);
        $send('12', 'd');
        self::assertCount(2, $this->snapshot()->store->harvests, 'another token is another harvest');
        self::assertSame([422, ['problem' => 'Nothing is no harvest. Write how much it was.']], $send('0', 'e'));
    }

    /** Five kilograms in two crates: the scale fills the field, and nothing is saved before somebody does. */
    public function testFromTheScale(): void
    {
        /** @var list<array<string, mixed>> $plantings */
        $plantings = SmallGarden::values()['plantings'];
        $this->garden = $this->keep(SmallGarden::json(['plantings' => [['key' => 'carrot-storage@2025-04-22#1',
            'item' => 'carrot-storage', 'method' => 'sown'] + $plantings[0]], 'practice' => ['seed' => 7]] + self::STORES));
        $page = $this->browser->request('GET', $this->path('/harvest'));
        $this->browser->click($page->filter('.tap-list a:contains("A3")')->link());
        $this->browser->submitForm('Weigh', ['amount' => '5 kg', 'crates' => '2']);
        self::assertResponseIsSuccessful();
        self::assertSame([], $this->snapshot()->store->harvests);
        $this->browser->submitForm('Save', []);
        self::assertResponseRedirects();

        self::assertEqualsWithDelta(5_000, $this->snapshot()->store->harvests[0]->hundredths, 10, 'within ten grams');
        $this->garden = $this->keep(SmallGarden::json(['plantings' => [['key' => 'carrot-storage@2025-04-22#1',
            'item' => 'carrot-storage', 'method' => 'sown'] + $plantings[0]]] + self::STORES));
        $page = $this->browser->request('GET', $this->path('/harvest'));
        $page = $this->browser->click($page->filter('.tap-list a:contains("A3")')->link());
        self::assertCount(0, $page->filter('button[name=scale]'), 'nothing is made up where one weighs in earnest');
    }

    /** "Pulled 2 m: 18 stalks": what each metre gives, and so what is still to come. */
    public function testASampleFromTheBed(): void
    {
        $planting = fn (): Planting => $this->snapshot()->plantings->get(self::LEEK) ?? throw new \LogicException();
        $id = $this->service(Snapshot::class)->plantingIds($this->garden)[self::LEEK];
        $this->browser->request('GET', $this->path('/planting/'.$id.'/note?what=sampled'));
        $this->browser->submitForm('Save: sampled', ['length' => '2 m', 'units' => '']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('Write how much there was', $this->text());
        $this->browser->submitForm('Save: sampled', ['length' => '2 m', 'units' => '18']);
        self::assertResponseRedirects();

        self::assertEqualsWithDelta(9.0, $planting()->yieldPerMetre(), 1e-9);
        self::assertSame([Happening::Sampled], array_map(static fn (FieldNote $n): Happening => $n->what, $this->snapshot()->notes));
    }

    /** What is still to come is what was expected less what was lifted. */
    public function testWhatIsStillToComeFollows(): void
    {
        $units = fn (): float => array_sum(array_map(static fn (Lot $l): float => null === $l->goodUntil ? $l->units : 0.0,
            (new TrueSupply($this->snapshot(), $this->service(CropBook::class)))->lots($this->snapshot()->plantings->get(self::LEEK)
                ?? throw new \LogicException())));
        $before = $units();
        $this->harvest(['amount' => '40', 'place' => 'cold']);

        self::assertEqualsWithDelta(40.0, $before - $units(), 1e-6);
    }

    public function testWhatIsTypedWrongIsSaidAtItsField(): void
    {
        foreach ([['amount' => ''], ['amount' => '0'], ['amount' => 'many'], ['amount' => '40', 'day' => '2026-03-09'],
            ['amount' => '40', 'place' => 'moon'],
            ['amount' => '40', 'hours' => '-1']] as $typed) {
            $this->harvest($typed);
            self::assertResponseStatusCodeSame(422, json_encode($typed, \JSON_THROW_ON_ERROR));
            self::assertStringContainsString('class="fault"', $this->text());
        }
        self::assertSame([], $this->snapshot()->store->harvests);
    }

    public function testGradeFlawsAndTheLastOfIt(): void
    {
        $this->harvest(['amount' => '12', 'grade' => 'second', 'flaws' => ['wet', 'bruised'], 'hours' => '1.5', 'who' => 'Mika',
            'isLast' => '1', 'words' => 'rust']);
        $lot = $this->snapshot()->store->harvests[0];

        self::assertSame([Grade::Second, [Flaw::Wet, Flaw::Bruised], 90, 'Mika', 'rust', ''], [$lot->grade, $lot->flaws, $lot->minutes,
            $lot->who, $lot->words, $lot->place]);
        self::assertSame('2026-03-02', $this->snapshot()->plantings->get(self::LEEK)?->clear->iso());
    }

    /** Sold, moved, thrown out: never more than lies there; the page of the lot tells both ways. */
    public function testWhatBecomesOfALot(): void
    {
        $this->harvest(['amount' => '40', 'place' => 'cold']);
        $lot = $this->path('/lots/260302-a3-leek');
        $this->post($lot, ['kind' => 'moved', 'amount' => '15', 'from' => 'cold', 'to' => 'shed', 'day' => '2026-03-02']);
        self::assertResponseRedirects();
        $this->post($lot, ['kind' => 'sold', 'amount' => '30', 'from' => 'cold', 'to' => 'stall', 'day' => '2026-03-02']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('Only 25 stalks lies there', $this->text());
        $this->post($lot, ['kind' => 'moved', 'amount' => '5', 'from' => 'cold', 'to' => 'stall', 'day' => '2026-03-02']);
        self::assertResponseStatusCodeSame(422);
        $this->post($lot, ['kind' => 'sold', 'amount' => '', 'from' => 'cold', 'to' => 'stall', 'day' => '2026-03-02']);
        self::assertResponseRedirects();

        self::assertSame([1500, 2500], array_map(static fn (Handling $h): int => $h->hundredths, $this->snapshot()->store->handlings));
        $this->browser->request('GET', $lot);
        self::assertStringContainsString('15 stalks', $this->text());
        self::assertStringContainsString('Stall', $this->text());
        self::assertStringContainsString('best', $this->text(), 'too warm in the shed, it says');
        $this->browser->request('GET', $this->path('/lots'));
        self::assertStringContainsString('25 stalks', $this->text());
        $this->browser->request('GET', $this->path('/lots/none'));
        self::assertResponseStatusCodeSame(404);
    }

    /** Sold out of the shed on a day it had not come there yet: it would count nowhere, so it is refused. */
    public function testNothingIsTakenBeforeItLayThere(): void
    {
        $this->harvest(['amount' => '40', 'place' => 'cold', 'day' => '2026-02-25']);
        $lot = $this->path('/lots/260225-a3-leek');
        $this->post($lot, ['kind' => 'moved', 'amount' => '15', 'from' => 'cold', 'to' => 'shed', 'day' => '2026-03-01']);
        self::assertResponseRedirects();
        $this->post($lot, ['kind' => 'sold', 'amount' => '5', 'from' => 'shed', 'to' => 'stall', 'day' => '2026-02-27']);
        self::assertResponseStatusCodeSame(422);
        self::assertCount(1, $this->snapshot()->store->handlings);
    }

    public function testAHarvestIsTakenBackWhole(): void
    {
        $before = $this->exported();
        $this->harvest(['amount' => '40', 'place' => 'cold']);
        $this->browser->followRedirect();
        $this->browser->submitForm('Undo');

        self::assertSame($before, $this->exported());
    }

    public function testBackFromPaper(): void
    {
        $page = $this->browser->request('GET', $this->path('/harvest/sheet'));
        $field = (string) $page->filter('input[name^="a-"]')->attr('name');
        $this->post($this->path('/harvest/sheet'), ['day' => '2026-03-01', 'place' => '', $field => '']);
        self::assertResponseStatusCodeSame(422);
        $this->post($this->path('/harvest/sheet'), ['day' => '2026-03-01', 'place' => '', $field => 'a few']);
        self::assertResponseStatusCodeSame(422);
        $this->post($this->path('/harvest/sheet'), ['day' => '2026-03-01', 'place' => 'moon', $field => '24']);
        self::assertResponseStatusCodeSame(422);
        $this->post($this->path('/harvest/sheet'), ['day' => '2026-03-01', 'place' => '', $field => '24']);
        self::assertResponseRedirects();
        $lot = $this->snapshot()->store->harvests[0];

        self::assertSame(['260301-a3-leek', 24.0, ''], [$lot->key, $lot->units(), $lot->place]);
    }

    /** What it costs is shown before it is saved; afterwards the bed refuses the harvest until the day, and says so. */
    public function testATreatmentKeepsTheHarvestOff(): void
    {
        $spray = ['beds' => 'A3', 'product' => 'Soap', 'wait' => '5', 'reentry' => '1', 'mode' => 'contact', 'day' => '2026-03-01'];
        $this->post($this->path('/sprays'), $spray);
        self::assertResponseIsSuccessful();
        self::assertStringContainsString('No picking is lost', $this->text());
        self::assertSame([], $this->snapshot()->sprays->sprays, 'not saved yet');
        $this->post($this->path('/sprays'), ['do' => 'keep'] + $spray);
        self::assertResponseRedirects();
        $this->harvest(['amount' => '40']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('no harvest before', $this->text());
        self::assertSame([], $this->snapshot()->store->harvests);
        foreach ([['beds' => 'Z9'], ['wait' => ''], ['product' => ''], ['day' => '2026-04-01']] as $wrong) {
            $this->post($this->path('/sprays'), $wrong + ['do' => 'keep'] + $spray);
            self::assertResponseStatusCodeSame(422);
        }
        $this->post($this->path('/sprays'), ['beds' => 'A1, A3', 'day' => '2026-03-02'] + $spray);
        self::assertStringContainsString('mode of action contact', $this->text(), 'the last one on these beds');
        $this->post($this->path('/sprays/delete'), ['spray' => $this->snapshot()->sprays->sprays[0]->key]);
        $this->harvest(['amount' => '40']);
        self::assertResponseRedirects();
    }

    public function testPlaces(): void
    {
        $this->post($this->path('/places'),
            ['name' => 'Root clamp', 'kind' => 'clamp', 'warmth' => '4', 'humidity' => '95', 'crates' => '60']);
        self::assertResponseRedirects();
        self::assertSame([4.0, 60], [$this->snapshot()->store->place('root-clamp')?->celsius,
            $this->snapshot()->store->place('root-clamp')?->crates]);
        $this->post($this->path('/places'), ['place' => 'root-clamp', 'name' => 'Clamp', 'kind' => 'clamp', 'warmth' => '39 °F',
            'humidity' => '95', 'crates' => '']);
        self::assertEqualsWithDelta(3.89, $this->snapshot()->store->place('root-clamp')?->celsius, 0.01);
        $this->post($this->path('/places'), ['name' => '', 'kind' => 'clamp', 'warmth' => 'cold', 'humidity' => '200', 'crates' => '']);
        self::assertResponseStatusCodeSame(422);
        self::assertGreaterThanOrEqual(3, substr_count($this->text(), 'class="fault"'));
        $this->harvest(['amount' => '40', 'place' => 'cold']);
        $this->post($this->path('/places/delete'), ['place' => 'cold']);
        self::assertResponseStatusCodeSame(422);
        $this->post($this->path('/places/delete'), ['place' => 'root-clamp']);
        self::assertCount(2, $this->snapshot()->store->places);
    }

    /** A logger's warm days use up a lot's life; the unit is asked where no heading says it. */
    public function testALoggersFile(): void
    {
        $this->harvest(['amount' => '40', 'place' => 'cold', 'day' => '2026-02-25']);
        $good = fn (): ?string => (Holdings::of($this->snapshot(), $this->service(CropBook::class))->all[0] ?? null)?->likely->iso();
        $before = $good();
        $text = "Time,Temperature,RH\n2026-02-26 06:00,59,80\n2026-02-27 06:00,59,80\n2026-03-01 06:00,59,80";
        $this->post($this->path('/places/logger'), ['place' => 'cold', 'text' => $text, 'unit' => '', 'dates' => '']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('Choose one', $this->text());
        self::assertStringContainsString('06:00,59,80', $this->text(), 'the typing stays');
        $this->post($this->path('/places/logger'), ['place' => 'cold', 'text' => 'nothing', 'unit' => 'f', 'dates' => '']);
        self::assertResponseStatusCodeSame(422);
        $this->post($this->path('/places/logger'), ['place' => 'cold', 'text' => $text, 'unit' => 'f', 'dates' => '']);
        self::assertResponseRedirects();
        $this->browser->followRedirect();
        self::assertStringContainsString('3 days of its logger, 1 days missing', $this->text());
        self::assertSame([15.0, 15.0, 15.0], array_map(static fn (PlaceDay $d): float => $d->celsius, $this->snapshot()->store->days));
        self::assertLessThan($before, $good());
    }

    /** @param array<string, mixed> $typed */
    private function harvest(array $typed): void
    {
        $page = $this->browser->request('GET', $this->path('/harvest'));
        $link = $page->filter('.tap-list a:contains("A3")');
        parse_str((string) parse_url($link->link()->getUri(), \PHP_URL_QUERY), $query);
        $this->post($this->path('/harvest'), $typed + ['planting' => $query['planting'], 'place' => '', 'grade' => 'first',
            'day' => '2026-03-02', 'hours' => '', 'who' => '', 'words' => '']);
    }
}
