<?php

declare(strict_types=1);

namespace App\Tests\Garden;

use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use Doctrine\DBAL\Connection;

/** A bed put right, with all that speaks of it; and what cannot be, said at its field. */
final class BedEditTest extends AppCase
{
    private const SAME = ['block' => 'A', 'length' => '25 m', 'width' => '75 cm', 'path' => '45 cm', 'place' => 'field'];

    /** The garden file is the old one with the name replaced; undo brings the old one back. */
    public function testARenamedBedIsTheSameGardenUnderAnotherName(): void
    {
        $values = json_decode(SmallGarden::json(['settings' => ['plan_rules' => ['reserve_beds' => ['A2', 'A3'],
            'resting' => [['bed' => 'A3',
            'from' => '2027-06-01', 'to' => '2027-08-31', 'why' => '']], 'not_here' => [['what' => 'kale', 'where' => 'A3',
                'why' => 'club root']]]]]),
            true);
        $this->garden = $this->keep(json_encode($values, \JSON_THROW_ON_ERROR));
        $before = $this->exported();
        $this->post($this->path('/bed/A3/edit'), ['name' => 'Long one', ...self::SAME]);
        self::assertResponseRedirects($this->path('/bed/Long%20one'));

        $this->browser->followRedirect();
        self::assertStringContainsString('Bed A3 is called Long one.', $this->text());
        $undo = $this->browser->getCrawler()->selectButton('Undo')->form();
        self::assertSame(str_replace('"A3"', '"Long one"', $before), $this->exported());
        $this->browser->submit($undo);
        self::assertResponseRedirects($this->path('/log'), message: 'the page one was on is gone');
        self::assertSame($before, $this->exported());
    }

    /** The proposal nobody has taken yet speaks of the bed as it is called, there and back; an old address leads on. */
    public function testAProposalFollowsTheName(): void
    {
        $this->post($this->path('/plan'), []);
        $open = fn (): mixed => $this->service(Connection::class)->fetchOne('SELECT changes FROM proposal');
        $before = $open();
        self::assertIsString($before);
        preg_match('/"bed":"([^"]+)"/', $before, $m);
        $bed = $m[1] ?? '';
        $is = $this->snapshot()->bedsByName()[$bed];
        $this->post($this->path('/bed/'.$bed.'/edit'), ['name' => 'Quince row', 'block' => $is->block, 'length' => '25 m',
            'width' => '75 cm',
            'path' => '45 cm', 'place' => $is->place->value]);
        self::assertResponseRedirects($this->path('/bed/Quince%20row'));
        $then = $open();
        self::assertIsString($then);
        self::assertStringNotContainsString('"bed":"'.$bed.'"', $then);
        self::assertSame(substr_count($before, '"bed":"'.$bed.'"'), substr_count($then, '"bed":"Quince row"'));
        $this->browser->request('GET', $this->path('/bed/'.$bed));
        self::assertResponseRedirects($this->path('/bed/Quince%20row'));
        $this->browser->request('GET', $this->path('/bed/Never'));
        self::assertResponseStatusCodeSame(404);
        $last = $this->service(Connection::class)->fetchOne('SELECT MAX(number) FROM log_entry');
        $this->post($this->path('/log/'.(is_numeric($last) ? (string) $last : '').'/take-back'), []);
        self::assertSame($before, $open());
    }

    public function testLengthWidthPlaceAndBlock(): void
    {
        $this->post($this->path('/plan'), []);
        $this->post($this->path('/bed/A2/edit'), ['name' => 'A2', 'block' => 'North', 'length' => '30 m', 'width' => '4 ft',
            'path' => '50 cm',
            'place' => 'tunnel']);
        $bed = $this->snapshot()->bedsByName()['A2'];

        self::assertSame(['North', 30_000_000, 1_219_200, 500_000, 'tunnel'], [$bed->block, $bed->length->micrometres,
            $bed->width->micrometres, $bed->path->micrometres, $bed->place->value]);
        self::assertContains('North', $this->snapshot()->blocks);
        self::assertSame(0, $this->service(Connection::class)->fetchOne('SELECT COUNT(*) FROM proposal'), 'drawn up on the bed as it was');
        $this->browser->followRedirect();
        $this->browser->submitForm('Undo');
        self::assertResponseRedirects($this->path('/bed/A2'), message: 'where one was');
        self::assertSame('A', $this->snapshot()->bedsByName()['A2']->block);
        foreach (['https://elsewhere.example/', '/g/other/bed/A2', $this->path('/nothing'), $this->path("/bed/A2\nX: y")] as $back) {
            $this->post($this->path('/bed/A2/edit'), ['name' => 'A2', ...self::SAME, 'length' => '26 m']);
            $last = $this->service(Connection::class)->fetchOne('SELECT MAX(number) FROM log_entry');
            self::assertIsInt($last);
            $this->post($this->path('/log/'.$last.'/take-back'), ['back' => $back]);
            self::assertResponseRedirects($this->path('/log'));
        }
    }

    public function testAListOfBedsIsKeptWholeOrNotAtAll(): void
    {
        $before = $this->everything();
        $this->post($this->path('/beds/list'), ['text' => "Q1-Q3, 18 m\nQ4, long"]);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('#fault-text', 'Row 2:');
        self::assertSelectorTextContains('textarea[aria-invalid]', 'Q4, long');
        self::assertSame($before, $this->everything());

        $this->post($this->path('/beds/list'), ['text' => "Q1-Q3, 18 m\nQ4, 9 m, 120 cm, tunnel"]);
        self::assertResponseRedirects($this->path('/beds'));
        $beds = $this->snapshot()->bedsByName();
        self::assertSame([18.0, 9.0, 'Q'], [$beds['Q2']->length->metres(), $beds['Q4']->length->metres(), $beds['Q4']->block]);
        $this->browser->followRedirect();
        self::assertStringContainsString('4 beds added: Q1 to Q4.', $this->text());
        $this->browser->submitForm('Undo');
        self::assertArrayNotHasKey('Q1', $this->snapshot()->bedsByName());
    }

    public function testWhatStandsInTheWayIsNamed(): void
    {
        $before = $this->everything();
        foreach ([[['name' => 'A1'], 'There is a bed A1 already'], [['name' => ''], 'Please write something'],
            [['length' => '24.9 m'], 'Leek, sown'], [['place' => 'tunnel'], 'is for the open field'],
            [['width' => 'wide'], 'wide']] as [$typed, $told]) {
            $this->post($this->path('/bed/A3/edit'), [...['name' => 'A3', ...self::SAME], ...$typed]);
            self::assertResponseStatusCodeSame(422);
            self::assertStringContainsString($told, $this->text());
            self::assertSame($before, $this->everything());
        }
    }

    public function testABedIsDeletedOnlyWhenNothingHangsOnIt(): void
    {
        $this->post($this->path('/bed/A3/delete'), []);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('1 planting', $this->text());
        $this->post($this->path('/beds/series'), ['block' => 'Z', 'prefix' => 'Z', 'first' => '1', 'count' => '1', 'length' => '10 m',
            'width' => '75 cm', 'path' => '40 cm', 'place' => 'field']);
        $this->browser->request('GET', $this->path('/bed/Z1/edit'));
        $this->browser->submitForm('Delete this bed');
        self::assertResponseRedirects($this->path('/beds'));
        self::assertArrayNotHasKey('Z1', $this->snapshot()->bedsByName());
        $this->browser->followRedirect();
        $this->browser->submitForm('Undo');
        self::assertArrayHasKey('Z1', $this->snapshot()->bedsByName());
    }
}
