<?php

declare(strict_types=1);

namespace App\Tests\Market;

use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use Doctrine\DBAL\Connection;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Sale\DeliveryNote;
use JollyFurrow\Sale\GlutKind;
use JollyFurrow\Sale\GlutWay;
use JollyFurrow\Sale\Sold;

/** Delivery notes, mixes, what is too much, boxes to come, sizes and promises from sales, through to what is stored. */
final class MarketMorePagesTest extends AppCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->garden = $this->keep($this->file());
    }

    /** Leeks for the stall of Saturday the 7th as loaded, put right, numbered, withdrawn; the next number is another. */
    public function testADeliveryNote(): void
    {
        $this->browser->request('GET', $this->path('/delivery?day=2026-03-07&outlet=stall'));
        $this->browser->submitForm('Write it', ['units-leek' => '17', 'words' => 'crates back, please']);
        self::assertResponseRedirects($this->path('/delivery/2026-001'));
        $note = $this->snapshot()->market->note('2026-001');
        self::assertSame([['leek', 17, 17 * 90, 'A3']], array_map(static fn ($l): array => [$l->product, $l->units, $l->cents, $l->lots],
            $note->lines ?? []));
        $this->browser->request('GET', $this->path('/delivery/2026-001.csv'));
        self::assertStringContainsString('2026-001,2026-03-07,Stall,Leeks,stalk,17,15.30,A3', (string) $this->browser->getResponse()
            ->getContent());
        $this->browser->request('GET', $this->path('/delivery/2026-001.pdf'));
        self::assertStringStartsWith('%PDF-', (string) $this->browser->getResponse()->getContent());
        $this->browser->request('GET', $this->path('/delivery/2026-001'));
        self::assertStringContainsString('crates back, please', $this->text());
        $this->browser->submitForm('Withdraw it');
        $this->browser->request('GET', $this->path('/delivery?day=2026-03-07&outlet=stall'));
        $this->browser->submitForm('Write it');
        self::assertSame([['2026-001', true], ['2026-002', false]], array_map(static fn (DeliveryNote $n): array => [$n->number,
            $n->isWithdrawn], $this->snapshot()->market->notes));
    }

    public function testAnEmptyDeliveryNoteIsNone(): void
    {
        $this->post($this->path('/delivery'), ['outlet' => 'stall', 'day' => '2026-03-07', 'units-leek' => '', 'words' => 'kept']);
        self::assertResponseStatusCodeSame(422);
        $this->post($this->path('/delivery'), ['outlet' => 'stall', 'day' => '2026-03-07', 'units-leek' => 'many']);
        self::assertResponseStatusCodeSame(422);
        self::assertSame([], $this->snapshot()->market->notes);
        $this->browser->request('GET', $this->path('/delivery/2026-001'));
        self::assertResponseStatusCodeSame(404);
    }

    public function testAMixMayChange(): void
    {
        $this->browser->request('GET', $this->path('/mixes'));
        self::assertStringContainsString('Always the same', $this->text());
        $bounds = ['low-lettuce-leaf' => '60', 'high-lettuce-leaf' => '80', 'low-arugula' => '50', 'high-arugula' => '60'];
        $this->browser->submitForm('Save', ['way' => 'bounds'] + $bounds);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('No mix can be so', $this->text());
        $this->browser->submitForm('Save', ['low-arugula' => '20']);
        $rule = $this->snapshot()->market->mixes['mix'];
        self::assertSame([[0.6, 0.8], [0.2, 0.6]], array_values($rule->bounds));
        $this->browser->request('GET', $this->path('/mixes'));
        $this->browser->submitForm('Save', ['way' => 'fixed']);
        self::assertResponseRedirects();
        self::assertSame([], $this->snapshot()->market->mixes);
    }

    /** The leeks go on 6 April; on 30 March nearly all of them are too much. */
    public function testWhatIsTooMuch(): void
    {
        $this->browser->request('GET', $this->path('/glut'));
        self::assertStringContainsString('Nothing is lost unsold', $this->text());
        $values = json_decode($this->file(), true);
        self::assertIsArray($values);
        $this->garden = $this->keep((string) json_encode(['today' => '2026-03-30', 'practice' => ['seed' => 1]] + $values));
        $this->post($this->path('/glut'), ['kind' => 'processing', 'name' => '', 'percent' => '120']);
        self::assertResponseStatusCodeSame(422);
        $this->post($this->path('/glut'), ['kind' => 'processing', 'name' => 'Soup kitchen', 'product' => 'leek', 'percent' => '80',
            'most' => '50']);
        self::assertSame([[GlutKind::Processing, 'Soup kitchen', 80, 50]], array_map(static fn (GlutWay $w): array => [$w->kind, $w->name,
            $w->percent, $w->most], $this->snapshot()->market->gluts));
    }

    public function testBoxesOfTheNextWeeksAndTheirPapers(): void
    {
        $this->browser->request('GET', $this->path('/boxes?next=1'));
        self::assertSelectorTextContains('#next-boxes', 'The next weeks');
        $this->post($this->path('/boxes/rest'), ['product' => 'leek', 'weeks' => '3']);
        self::assertSame(['leek' => 3], $this->snapshot()->market->sizes[0]->rests);
        $this->browser->request('GET', $this->path('/boxes/sheet'));
        self::assertStringContainsString('5 boxes', $this->text());
        self::assertSelectorTextContains('table', 'Leeks');
        $this->browser->request('GET', $this->path('/boxes/note'));
        self::assertSelectorTextContains('.box-class', 'Leeks');
    }

    /** Thin ones cost otherwise: a price, a line of their own at packing up, and their own money in what the crop was worth. */
    public function testASizeWithAPriceOfItsOwn(): void
    {
        $this->browser->request('GET', $this->path('/prices'));
        $this->browser->submitForm('Save', ['product' => 'leek', 'outlet' => '', 'each' => '0.50', 'size' => 'thin']);
        $values = json_decode($this->exported(), true);
        self::assertIsArray($values);
        $values['outlets'] = [['key' => 'stall', 'name' => 'Stall', 'weekdays' => [1, 6], 'priority' => 2, 'pick_window_days' => 3,
            'pick_to_sale_days' => 2]];
        unset($values['box_sizes']);
        $values['promises'] = [['outlet' => 'stall', 'product' => 'leek', 'day' => '2026-03-02', 'quantity' => 10]];
        $this->garden = $this->keep((string) json_encode($values));
        $page = $this->browser->request('GET', $this->path('/packing'));
        $thin = $page->filter('input[name^="taken-leek-"]')->attr('name');
        self::assertIsString($thin);
        $this->browser->submitForm('Save', ['taken-leek' => '10', 'back-leek' => '2', $thin => '6']);
        self::assertSame([['', 8], ['thin', 6]], array_map(static fn (Sold $s): array => [$s->size, $s->units()],
            $this->snapshot()->market->days[0]->lines));
        $this->browser->request('GET', $this->path('/worth'));
        self::assertStringContainsString('10.20', $this->text(), 'eight at 0.90, six at 0.50');
    }

    /** Three Saturdays of last May: 12 sold each, none came back. */
    public function testPromisesFromSales(): void
    {
        $values = json_decode($this->file(), true);
        self::assertIsArray($values);
        $values['market_days'] = array_map(static fn (string $day): array => ['outlet' => 'stall', 'day' => $day,
            'lines' => [['product' => 'leek', 'taken' => 12, 'back' => 0, 'out_at' => '10:15']]], ['2025-05-10', '2025-05-17',
            '2025-05-24']);
        $this->garden = $this->keep((string) json_encode($values));
        $this->browser->request('GET', $this->path('/promises/from-sales'));
        self::assertStringContainsString('3 of 3, from 10:15', $this->text());
        $this->post($this->path('/promises/from-sales'), []);
        self::assertResponseStatusCodeSame(422);
        $this->post($this->path('/promises/from-sales'), ['row' => ['stall/leek/2026-05-02'], 'units-stall-leek-2026-05-02' => '14']);
        self::assertResponseRedirects();
        $may = array_values(array_filter($this->snapshot()->promises, static fn (Promise $p): bool => 'stall' === $p->outlet
            && str_starts_with($p->day->iso(), '2026-05')));
        self::assertSame([['2026-05-02', 14.0], ['2026-05-09', 14.0], ['2026-05-16', 14.0], ['2026-05-23', 14.0], ['2026-05-30', 14.0]],
            array_map(static fn (Promise $p): array => [$p->day->iso(), $p->quantity], $may));
    }

    /** The boxes take leeks on Wednesday: out of store, where they go off before those in the ground. */
    public function testWhatIsKeptOfALot(): void
    {
        $values = json_decode($this->file(), true);
        self::assertIsArray($values);
        $values['promises'] = [['outlet' => 'boxes', 'product' => 'leek', 'day' => '2026-03-04', 'quantity' => 19]];
        $values['stores'] = [['key' => 'cold', 'name' => 'Cold room', 'kind' => 'cold-room', 'celsius' => 1.0, 'humidity' => 95]];
        $values['harvests'] = [['key' => 'l-1', 'day' => '2026-01-26', 'item' => 'leek', 'variety' => 'leek', 'bed' => 'A3',
            'grade' => 'first', 'hundredths' => 5000, 'store' => 'cold']];
        $this->garden = $this->keep((string) json_encode($values));
        $this->browser->request('GET', $this->path('/lots/l-1'));
        self::assertStringContainsString('Kept for', $this->text());
        self::assertStringContainsString('Boxes', $this->text());
    }

    /** Who made a buyer's page and left the garden leaves no open door behind. */
    public function testTheBuyersPageEndsWithItsMaker(): void
    {
        $this->post($this->path('/coming/link'), ['outlet' => 'stall']);
        $this->browser->followRedirect();
        self::assertSame(1, preg_match('#/order/([\w-]{20,})#', $this->text(), $found));
        $this->browser->request('GET', '/order/'.$found[1]);
        self::assertResponseIsSuccessful();
        $this->service(Connection::class)->executeStatement('DELETE FROM member WHERE garden_id = ?', [$this->garden]);
        $this->browser->request('GET', '/order/'.$found[1]);
        self::assertResponseStatusCodeSame(404);
    }

    public function testTheGardenFileHoldsThem(): void
    {
        $market = ['mixes' => [['product' => 'mix', 'bounds' => [['item' => 'arugula', 'low' => 0.1, 'high' => 0.5]]]],
            'gluts' => [['key' => 'g', 'kind' => 'free-choice', 'name' => 'Bin', 'percent' => 10, 'most' => 9]],
            'delivery_notes' => [['number' => '2026-014', 'outlet' => 'stall', 'day' => '2026-02-28', 'words' => 'w', 'withdrawn' => true,
                'lines' => [['product' => 'leek', 'units' => 3, 'cents' => 270, 'lots' => 'l-1']]]],
            'box_sizes' => [['key' => 's', 'outlet' => 'stall', 'name' => 'Small', 'cents' => 180, 'groups' => [3, 2],
                'rests' => [['product' => 'leek', 'weeks' => 3]]]], 'prices' => [['key' => 'p', 'product' => 'leek', 'cents' => 50,
                'size' => 'thin']]];
        $values = json_decode($this->file(), true);
        self::assertIsArray($values);
        $this->garden = $this->keep((string) json_encode($market + $values));
        $out = json_decode($this->exported(), true);
        self::assertIsArray($out);
        self::assertEquals($market, array_intersect_key($out, $market));
    }

    private function file(): string
    {
        /** @var list<array<string, mixed>> $products */
        $products = SmallGarden::values()['products'];
        $products[] = ['key' => 'leek', 'name' => 'Leeks', 'unit' => 'stalk', 'price_cents' => 90, 'parts' => [['item' => 'leek',
            'units' => 1.0]]];

        return SmallGarden::json(['products' => $products, 'promises' => [['outlet' => 'stall', 'product' => 'leek', 'day' => '2026-03-07',
            'quantity' => 19]], 'box_sizes' => [['key' => 's', 'outlet' => 'stall', 'name' => 'Small', 'cents' => 180, 'groups' => [3,
                2]]]]);
    }
}
