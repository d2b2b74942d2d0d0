<?php

declare(strict_types=1);

namespace App\Tests\Market;

use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use JollyFurrow\Sale\MarketDay;
use JollyFurrow\Sale\Order;
use JollyFurrow\Sale\Sold;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;

/** Market days through to what is stored. Leeks stand on A3; the stall wants some on Saturday 7 March; it is Monday the 2nd. */
final class MarketPagesTest extends AppCase
{
    private string $file = '';

    protected function setUp(): void
    {
        parent::setUp();
        /** @var list<array<string, mixed>> $products */
        $products = SmallGarden::values()['products'];
        $products[] = ['key' => 'leek', 'name' => 'Leeks', 'unit' => 'stalk', 'price_cents' => 90, 'parts' => [['item' => 'leek',
            'units' => 1.0]]];
        $this->file = SmallGarden::json(['products' => $products, 'promises' => [['outlet' => 'stall', 'product' => 'leek',
            'day' => '2026-03-07', 'quantity' => 19]], 'stores' => [['key' => 'cold', 'name' => 'Cold room', 'kind' => 'cold-room',
                'celsius' => 1.0, 'humidity' => 95]], 'terms' => [['outlet' => 'stall', 'closes_days' => 1, 'hour' => 18]],
            'box_sizes' => [['key' => 's', 'outlet' => 'stall', 'name' => 'Small', 'cents' => 180, 'groups' => [3, 2]]]]);
        $this->garden = $this->keep($this->file);
    }

    public function testAnOrderAgainstThePromise(): void
    {
        $this->browser->request('GET', $this->path('/orders'));
        $this->browser->submitForm('Save', ['outlet' => 'stall', 'product' => 'leek', 'quantity' => '1200', 'day' => '2026-03-07']);
        self::assertResponseRedirects();
        $this->browser->followRedirect();
        self::assertStringContainsString('are sure,', $this->text(), 'more than is sure is told at once');
        self::assertSame([['leek', 1200.0]], array_map(static fn (Order $o): array => [$o->product, $o->quantity],
            $this->snapshot()->market->orders));
        $this->browser->submitForm('Take out');
        self::assertSame([], $this->snapshot()->market->orders);
    }

    public function testWhatIsWrongWithAnOrderIsSaidAtItsField(): void
    {
        $this->post($this->path('/orders'), ['outlet' => 'stall', 'product' => 'leek', 'quantity' => '-3', 'day' => '2026-03-08',
            'kind' => 'standing', 'until' => '2026-03-01', 'words' => 'thin ones']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('value="thin ones"', $this->text(), 'the typing is kept');
        self::assertSame([], $this->snapshot()->market->orders);
    }

    /** The buyer sees its own list and orders; guessed, withdrawn or late it opens nothing; sent twice it is one; a flood is stopped. */
    public function testTheBuyersPage(): void
    {
        $this->browser->request('GET', $this->path('/coming'));
        self::assertStringContainsString('Leeks', $this->text());
        $this->post($this->path('/coming/link'), ['outlet' => 'stall']);
        $this->browser->followRedirect();
        self::assertSame(1, preg_match('#/order/([\w-]{20,})#', $this->text(), $found));
        $secret = $found[1];
        $this->browser->request('GET', '/sign-out');
        $this->browser->getCookieJar()->clear();
        $page = $this->browser->request('GET', '/order/'.$secret);
        self::assertResponseIsSuccessful();
        self::assertStringContainsString('Leeks', $this->text());
        self::assertStringNotContainsString('/g/', $this->text(), 'nothing else of the garden');
        $form = $page->filter('button:contains("Order for")')->first()->form();
        $field = array_values(array_filter(array_keys($form->getPhpValues()), static fn (int|string $n): bool => str_ends_with((string) $n,
            '-leek')))[0];
        $values = [(string) $field => '14'] + $form->getPhpValues();
        foreach ([1, 2] as $time) {
            $this->browser->request('POST', '/order/'.$secret, [...$values, (string) $field => '14']);
            self::assertResponseRedirects();
        }
        self::assertSame([['leek', 14.0, 'Stall']], array_map(static fn (Order $o): array => [$o->product, $o->quantity, $o->who],
            $this->snapshot()->market->orders));
        $this->browser->request('POST', '/order/'.$secret, [...$values, (string) $field => 'many']);
        self::assertResponseStatusCodeSame(422);
        $this->browser->request('POST', '/order/'.$secret, [...$values, 'day' => '2026-03-02']);
        self::assertResponseStatusCodeSame(422);
        $this->browser->request('GET', '/order/'.strrev($secret));
        self::assertResponseStatusCodeSame(404);
        for ($n = 0; $n < 20; ++$n) {
            $this->browser->request('POST', '/order/'.$secret, [...$values, (string) $field => '15']);
        }
        self::assertResponseStatusCodeSame(429);
    }

    /** Nineteen taken, four back into the cold, one lost: fourteen sold, of the lot that was cut for it. */
    public function testPackingUp(): void
    {
        /** @var array{outlets: list<array<string, mixed>>, promises: list<mixed>} $values */
        $values = json_decode($this->file, true);
        // The stall is there on Mondays, too: today.
        $values['outlets'] = array_map(static fn (array $o): array => 'stall' === $o['key'] ? ['weekdays' => [1, 6]] + array_diff_key($o,
            ['weekday' => 1]) : $o, $values['outlets']);
        $values['promises'][] = ['outlet' => 'stall', 'product' => 'leek', 'day' => '2026-03-02', 'quantity' => 19];
        $values['harvests'] = [['key' => 'l-1', 'day' => '2026-03-01', 'item' => 'leek', 'variety' => 'leek', 'bed' => 'A3',
            'grade' => 'first', 'hundredths' => 2200]];
        $this->garden = $this->keep((string) json_encode($values));
        $this->browser->request('GET', $this->path('/packing'));
        $this->browser->submitForm('Save', ['back-leek' => '25', 'weather' => 'wet']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('More than was taken.', $this->text());
        $this->browser->submitForm('Save', ['back-leek' => '4', 'lost-leek' => '1', 'cents-leek' => '12.60', 'to' => 'cold']);
        self::assertResponseRedirects();
        $garden = $this->snapshot();
        self::assertSame([[14, 4, 1260, 'wet']], array_map(static fn (MarketDay $d): array => [$d->lines[0]->units(), $d->lines[0]->back,
            $d->lines[0]->cents, $d->weather->value], $garden->market->days));
        self::assertSame([['returned', 400, 'cold']], array_map(static fn ($h): array => [$h->kind->value, $h->hundredths, $h->to],
            $garden->store->handlings));
        $this->browser->request('GET', $this->path('/packing'));
        self::assertStringContainsString('/lots/l-1', $this->text());
        $this->browser->request('GET', $this->path('/worth'));
        self::assertStringContainsString('12.60', $this->text());
        $this->browser->request('GET', $this->path('/packing'));
        $this->browser->submitForm('Read it in', ['till' => "Product,Units,Amount\nLeeks,17,15.30\nTea,1,2"]);
        self::assertStringContainsString('Not understood: Tea,1,2', $this->text());
        self::assertStringContainsString('value="17"', $this->text());
    }

    public function testBoxesArePackedAndRemembered(): void
    {
        $this->browser->request('GET', $this->path('/boxes'));
        self::assertStringContainsString('5 boxes', $this->text());
        $this->browser->submitForm('Save as packed');
        self::assertResponseRedirects();
        $boxes = $this->snapshot()->market->boxes;
        self::assertSame(['stall/2026-03-07'], array_map(static fn ($b): string => $b->key(), $boxes));
        self::assertGreaterThan(0, $boxes[0]->contents['s/0']['leek'] ?? 0);
    }

    public function testAPriceOfItsOwn(): void
    {
        $this->browser->request('GET', $this->path('/prices'));
        $this->browser->submitForm('Save', ['product' => 'leek', 'outlet' => 'stall', 'each' => '1.10', 'many' => '2', 'together' => '2']);
        self::assertResponseRedirects();
        self::assertSame([110, 2, 200], [$this->snapshot()->market->prices[0]->each->cents, $this->snapshot()->market->prices[0]->many,
            $this->snapshot()->market->prices[0]->forMany?->cents]);
        $this->browser->request('GET', $this->path('/coming?outlet=stall'));
        self::assertStringContainsString('1.10', $this->text());
        $this->browser->request('GET', $this->path('/coming.csv?outlet=stall'));
        self::assertStringContainsString('2026-03-07,Leeks,stalk,', (string) $this->browser->getResponse()->getContent());
    }

    public function testTheCommand(): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'market');
        file_put_contents($path, $this->file);
        $tester = new CommandTester((new Application(self::$kernel ?? self::bootKernel()))->find('market'));
        $tester->execute(['file' => $path], ['capture_stderr_separately' => true]);
        unlink($path);
        /** @var array{coming: list<array<string, mixed>>} $answer */
        $answer = json_decode($tester->getDisplay(), true);

        $stall = array_values(array_filter($answer['coming'], static fn (array $l): bool => 'stall' === $l['outlet']))[0];

        self::assertSame(['2026-03-07', 'leek', 19], [$stall['day'], $stall['product'], $stall['promised']]);
    }

    /** Orders, terms, prices, market days, sizes and boxes go out and come in again as they were. */
    public function testTheGardenFileHoldsItAll(): void
    {
        /** @var array<string, mixed> $values */
        $values = json_decode($this->file, true);
        $market = ['orders' => [['key' => 'o', 'outlet' => 'stall', 'product' => 'leek', 'day' => '2026-03-07', 'quantity' => 4.5,
            'kind' => 'standing', 'until' => '2026-05-30', 'who' => 'Stall', 'words' => 'thin']],
            'prices' => [['key' => 'p', 'product' => 'leek', 'cents' => 80, 'from' => '2026-03-01', 'until' => '2026-03-31', 'many' => 3,
                'many_cents' => 200]], 'market_days' => [['outlet' => 'stall', 'day' => '2025-11-08', 'weather' => 'hot', 'holiday' => true,
                    'words' => 'fair', 'lines' => [['product' => 'leek', 'taken' => 9, 'back' => 2, 'given' => 1, 'lost' => 1,
                        'cents' => 450,
                        'out_at' => '10:30', 'size' => 'thin', 'cut' => 50]]]],
            'boxes' => [['outlet' => 'stall', 'day' => '2026-02-28', 'contents' => [['box' => 's/0', 'product' => 'leek', 'units' => 2]]]]];
        $this->garden = $this->keep((string) json_encode($market + $values));
        $out = json_decode($this->exported(), true);
        self::assertIsArray($out);
        self::assertEquals($market + ['terms' => $values['terms'], 'box_sizes' => $values['box_sizes']], array_intersect_key($out, $market
            + ['terms' => 1, 'box_sizes' => 1]));
        self::assertSame(5, (new Sold('leek', 9, 2, 1, 1))->units());
    }
}
