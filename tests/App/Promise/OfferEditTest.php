<?php

declare(strict_types=1);

namespace App\Tests\Promise;

use App\Tests\Support\AppCase;

/** Outlets and products put right: the promises stay theirs; what is promised of stays. */
final class OfferEditTest extends AppCase
{
    private const OUTLET = ['priority' => '1', 'pick_window_days' => '3', 'pick_to_sale_days' => ''];

    public function testRenamedTheGardenIsTheSameUnderAnotherName(): void
    {
        $before = $this->exported();
        foreach (['outlet/boxes' => 'Monday bags', 'product/lettuce' => 'Loose lettuce'] as $page => $name) {
            $form = $this->browser->request('GET', $this->path('/offer/'.$page))->selectButton('Save')->form();
            $kind = explode('/', $page)[0];
            $was = (string) $this->browser->getCrawler()->filter('[name="name"]')->attr('value');
            $this->browser->submit($form, ['name' => $name]);
            $undo = $this->browser->followRedirect()->selectButton('Undo')->form();
            self::assertStringContainsString(ucfirst($kind).' '.$was.' is called '.$name.'.', $this->text());
            self::assertSame(str_replace('"'.$was.'"', '"'.$name.'"', $before), $this->exported());
            $this->browser->submit($undo);
            self::assertSame($before, $this->exported());
        }
    }

    public function testWhatItTakesAndCosts(): void
    {
        $form = $this->browser->request('GET', $this->path('/offer/product/lettuce'))->selectButton('Save')->form();
        $this->browser->submit($form, ['price' => '3.10', 'item1' => 'leek', 'units1' => '0.5']);
        $product = array_column($this->snapshot()->products, null, 'key')['lettuce'];

        self::assertSame(310, $product->price->cents);
        self::assertSame(['leek' => 0.5], \array_slice(array_column($product->parts, 'units', 'item'), -1));
        self::assertCount(2, $product->parts);
    }

    public function testWhatStandsInTheWayIsSaidAtItsField(): void
    {
        $this->post($this->path('/offer/outlet'), ['name' => 'Shop', 'weekdays' => ['5'], ...self::OUTLET]);
        $before = $this->everything();
        foreach ([['name' => 'shop'], ['name' => ''], ['priority' => 'first']] as $typed) {
            $form = $this->browser->request('GET', $this->path('/offer/outlet/boxes'))->selectButton('Save')->form();
            $this->browser->request('POST', $form->getUri(), [...$form->getPhpValues(), ...$typed]);
            self::assertResponseStatusCodeSame(422);
            self::assertSelectorExists('[name="'.key($typed).'"][aria-invalid]');
            self::assertSame($before, $this->everything());
        }
    }

    public function testTheListIsInTheGrowersOrder(): void
    {
        $before = $this->exported();
        foreach (['outlets' => 'outlet', 'products' => 'product'] as $list => $kind) {
            $keys = fn (): array => array_column($this->snapshot()->{$list}, 'key');
            $was = $keys();
            $this->post($this->path('/offer/'.$kind.'/'.$was[0].'/down'), []);
            self::assertSame([$was[1], $was[0]], \array_slice($keys(), 0, 2));
            $this->post($this->path('/offer/'.$kind.'/'.$was[0].'/up'), []);
            self::assertSame($was, $keys());
        }
        self::assertSame($before, $this->exported());
        $this->post($this->path('/offer/outlet/nobody/up'), []);
        self::assertResponseStatusCodeSame(404);
    }

    public function testSeveralMarketDaysAndWeeksItIsClosed(): void
    {
        $before = $this->exported();
        $edit = function (array $typed): void {
            $form = $this->browser->request('GET', $this->path('/offer/outlet/boxes'))->selectButton('Save')->form();
            $this->browser->request('POST', $form->getUri(), [...$form->getPhpValues(), ...$typed]);
        };
        foreach ([[['weekdays' => ['7']], 'promises are made on a day it would not be there'], [['weekdays' => []], 'at least one day'],
            [['closed_from0' => '2026-12-24'], 'Write the last day too'],
            [['closed_from0' => '2026-12-24', 'closed_to0' => '2026-12-20'], 'ends before it begins'],
            [['closed_from0' => '2026-03-01', 'closed_to0' => '2026-12-31'],
                'promises are made on a day it would not be there']] as [$typed, $why]) {
            $edit($typed);
            self::assertResponseStatusCodeSame(422);
            self::assertStringContainsString($why, $this->text());
            self::assertSame($before, $this->exported());
        }
        $edit(['weekdays' => ['6', '3'], 'closed_from0' => '2027-01-01', 'closed_to0' => '2027-01-10']);
        self::assertResponseRedirects($this->path('/offer'));
        $days = array_column($this->snapshot()->outlets, null, 'key')['boxes']->days;
        self::assertSame([[3, 6], '2027-01-10'], [array_column($days->weekdays, 'value'), $days->closed[0]->last()->iso()]);
        self::assertStringContainsString('"weekdays": [', $file = $this->exported());
        $this->garden = $this->keep($file);
        self::assertSame($file, $this->exported());
        $this->browser->request('GET', $this->path('/promises?outlet=boxes&from=2026-12-21'));
        self::assertStringContainsString('30 Dec', $this->text());
        self::assertStringNotContainsString('Wed 6 Jan', $this->text());
        self::assertStringContainsString('Sat 16 Jan', $this->text());
    }

    /** A pound of what is weighed is 4.536 of its 100 g; what is counted is not weighed. */
    public function testAProductTakesAWeight(): void
    {
        $pound = ['name' => 'Roots', 'unit' => 'bag', 'price' => '$4.00', 'item0' => 'potato-early', 'units0' => '1 lb'];
        $this->post($this->path('/offer/product'), [...$pound, 'item1' => 'lettuce-head', 'units1' => '500 g']);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('#fault-units1', 'not by weight');
        self::assertInputValueSame('units0', '1 lb');

        $this->post($this->path('/offer/product'), $pound);
        self::assertResponseStatusCodeSame(303);
        $roots = fn (): float => array_column($this->snapshot()->products, null, 'key')['roots']->parts[0]->units;
        self::assertSame(4.535_923_7, $roots());
        $this->browser->request('GET', $this->path('/offer/product/roots'));
        self::assertInputValueSame('units0', '453.6 g');
        $this->browser->submitForm('Save', ['name' => 'Bag of roots']);
        self::assertSame(4.535_923_7, $roots(), 'what is looked at and kept moves nothing');
    }

    public function testDeletedOnlyWhenNothingIsPromised(): void
    {
        $before = $this->everything();
        foreach (['outlet/boxes', 'product/lettuce'] as $page) {
            $this->post($this->path('/offer/'.$page.'/delete'), []);
            self::assertResponseStatusCodeSame(422);
            self::assertMatchesRegularExpression('/\d+ promises hang on it, so it stays/', $this->text());
            self::assertSame($before, $this->everything());
        }
        $this->post($this->path('/offer/product'), ['name' => 'Pods', 'unit' => 'kg', 'price' => '4', 'item0' => 'leek', 'units0' => '1']);
        $with = $this->exported();
        $this->browser->request('GET', $this->path('/offer/product/pods'));
        $this->browser->submitForm('Delete this product');
        $undo = $this->browser->followRedirect()->selectButton('Undo')->form();
        self::assertNotContains('pods', array_column($this->snapshot()->products, 'key'));
        $this->browser->submit($undo);
        self::assertSame($with, $this->exported());
    }
}
