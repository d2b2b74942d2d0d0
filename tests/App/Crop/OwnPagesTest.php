<?php

declare(strict_types=1);

namespace App\Tests\Crop;

use App\Crop\SheetFile;
use App\Crop\UnusableSheet;
use App\Tests\Support\AppCase;
use JollyFurrow\Book\OwnValue;
use Symfony\Component\DomCrawler\Form;
use Symfony\Component\HttpFoundation\File\UploadedFile;

final class OwnPagesTest extends AppCase
{
    public function testAValueIsTriedThenKeptThenTakenBack(): void
    {
        $before = $this->everythingBut('log_entry');
        $form = $this->form('radish');
        $this->browser->submit($form, ['v-days_sown' => '33', 'v-ground_field' => 'Mar 20 to 1 Aug',
            'v-note_customers' => 'Crisp, "best of all"', 'why' => 'two springs', 'do' => 'try']);
        self::assertResponseIsSuccessful();
        self::assertSelectorTextContains('#effect', 'grows from these values');
        self::assertSelectorExists('input[name="v-days_sown"][value="33"]');
        self::assertSame($before, $this->everythingBut('log_entry'));

        $this->send(['do' => 'keep']);
        self::assertEquals([new OwnValue('radish', 'days_sown', '33', 'two springs'),
            new OwnValue('radish', 'ground_field', '03-20..08-01', 'two springs'),
            new OwnValue('radish', 'note_customers', 'Crisp, "best of all"', 'two springs')], $this->snapshot()->own);
        $this->browser->followRedirect();
        self::assertStringContainsString('this garden: two springs', $this->text());
        self::assertStringContainsString('3 values our own', $this->text());
        self::assertStringContainsString('What customers say: Crisp', $this->text());

        $this->browser->submitForm('Undo');
        self::assertSame($before, $this->everythingBut('log_entry'));
    }

    public function testPlantingsStayAsPlannedOrFollowAsAsked(): void
    {
        $radishes = fn (): array => array_values(array_filter($this->snapshot()->plantings->all(),
            static fn ($p): bool => 'radish' === $p->item));
        $this->post($this->path('/forward'), ['crop' => 'radish', 'where' => 'block:A', 'method' => '', 'every' => '14',
            'size' => 'quarter', 'length' => '', 'from' => '2026-05-05', 'until' => '2026-06-05']);
        $planned = $radishes();
        self::assertCount(3, $planned);
        $this->browser->submit($this->form('radish'), ['v-yield_per_m' => '20', 'do' => 'try']);
        self::assertStringContainsString('would change if they follow', $this->text());
        $this->send(['do' => 'keep']);
        self::assertEquals($planned, $radishes());

        $this->browser->submit($this->form('radish'), ['v-yield_per_m' => '21', 'do' => 'try']);
        $this->send(['do' => 'follow']);
        self::assertResponseStatusCodeSame(303);
        self::assertSame(array_fill(0, \count($planned), 21.0), array_map(static fn ($p): float => $p->perMetre, $radishes()));
    }

    public function testWhatIsWrongIsToldAtTheFieldAndTheTypingIsKept(): void
    {
        $before = $this->everything();
        $this->browser->submit($this->form('radish'), ['v-days_sown' => 'a month', 'v-ph' => '7..6', 'v-ground_field' => '15 Mar',
            'v-sign' => 'firm', 'do' => 'keep']);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('#f-days_sown', 'whole number from 15 to 400');
        self::assertSelectorTextContains('#f-ph', 'rising');
        self::assertSelectorTextContains('#f-ground_field', 'a window such as 15 Mar to 20 Jul');
        self::assertInputValueSame('v-ground_field', '15 Mar');
        self::assertSelectorExists('input[name="v-sign"][value="firm"]');
        self::assertSame($before, $this->everything());
    }

    public function testACropIsCopiedAsAVarietyPlantedAndCannotBeTakenAwayUnderThePlanting(): void
    {
        $form = $this->form('radish', '?copy=variety');
        self::assertSame('', $form->getPhpValues()['v-variety'] ?? null);
        $this->browser->submit($form, ['v-variety' => 'Dusk Marble', 'v-days_sown' => '36', 'do' => 'try']);
        self::assertResponseIsSuccessful();
        $this->send(['do' => 'keep']);
        self::assertResponseRedirects($this->path('/crops/own-dusk-marble'));
        $own = $this->snapshot()->own;
        self::assertEqualsCanonicalizing([['of', 'radish'], ['variety', 'Dusk Marble'], ['days_sown', '36']],
            array_map(static fn (OwnValue $v): array => [$v->name, $v->is], $own));

        $this->browser->request('GET', $this->path('/crops/radish/ladder'));
        self::assertSelectorTextContains('main', 'Dusk Marble');
        $this->post($this->path('/forward'), ['crop' => 'own-dusk-marble', 'where' => 'bed:A1', 'method' => '', 'every' => '10',
            'size' => 'length', 'length' => '2 m', 'from' => '2026-06-02', 'until' => '2026-06-02']);
        self::assertResponseStatusCodeSame(303);
        $planted = array_values(array_filter($this->snapshot()->plantings->all(),
            static fn ($p): bool => 'own-dusk-marble' === $p->variety));
        self::assertSame(['radish', 36], [$planted[0]->item, $planted[0]->ready->since($planted[0]->ground) - 2]);

        $this->post($this->path('/crops/own-dusk-marble/book'), []);
        $this->browser->followRedirect();
        self::assertStringContainsString('still planted or sold', $this->text());
        self::assertEquals($own, $this->snapshot()->own);
        $this->post($this->path('/log/2/take-back'), []);
        self::assertEquals($own, $this->snapshot()->own, 'what is planted stays in the book');
        self::assertStringContainsString('"variety": "own-dusk-marble"', $this->exported());
        self::assertEquals($this->snapshot()->own, $this->service(\App\File\GardenReader::class)->read($this->exported())->own);
    }

    public function testACropOfItsOwnIsSoldAsOne(): void
    {
        $this->browser->submit($this->form('kale', '?copy=crop'), ['v-name' => 'Tall kale', 'v-variety' => 'Mast Green', 'do' => 'try']);
        $this->send(['do' => 'keep']);
        $this->browser->request('GET', $this->path('/offer'));
        self::assertSelectorExists('option[value="own-mast-green"]');
        $this->browser->request('GET', $this->path('/crops/own-mast-green'));
        self::assertResponseIsSuccessful();
        $other = $this->keep(\App\Tests\Support\SmallGarden::json());
        $this->browser->request('GET', '/g/'.$other.'/crops/own-mast-green');
        self::assertResponseStatusCodeSame(404);
    }

    public function testSomebodyElsesChangeMeanwhileIsAskedAbout(): void
    {
        $form = $this->form('radish');
        $seen = $form->getPhpValues()['seen'] ?? '';
        $this->browser->submit($form, ['v-days_sown' => '33', 'do' => 'keep']);
        $this->browser->request('GET', $this->path('/crops/radish/own'));
        $this->browser->submit($this->form('radish'), ['seen' => \is_string($seen) ? $seen : '', 'v-days_sown' => '35', 'do' => 'keep']);

        self::assertResponseStatusCodeSame(409);
        self::assertSelectorTextContains('[role=alert]', 'own crop values');
        self::assertSame('33', $this->snapshot()->own[0]->is);
    }

    public function testWhatComesOutGoesInAgainAsCsvAndAsSpreadsheet(): void
    {
        $this->browser->submit($this->form('radish', '?copy=variety'), ['v-variety' => '=Dusk', 'v-note_quality' => '-mild +',
            'do' => 'keep']);
        $own = $this->snapshot()->own;
        self::assertCount(3, $own);
        $other = $this->keep(\App\Tests\Support\SmallGarden::json());
        foreach (['csv', 'xlsx'] as $format) {
            $this->browser->request('GET', $this->path('/crops.'.$format));
            $sheet = $this->browser->getInternalResponse()->getContent();
            $path = sys_get_temp_dir().'/crops-'.bin2hex(random_bytes(4)).'.'.$format;
            file_put_contents($path, $sheet);
            $page = $this->browser->request('GET', '/g/'.$other.'/crops/sheet/in');
            $this->browser->request('POST', '/g/'.$other.'/crops/sheet/in',
                ['_token' => (string) $page->filter('input[name=_token]')->attr('value'),
                'seen' => (string) $page->filter('input[name=seen]')->attr('value'), 'do' => 'keep'], ['file' => new UploadedFile($path,
                    'crops.'.$format, null, null, true)]);
            self::assertResponseStatusCodeSame(303, $format);
            self::assertEqualsCanonicalizing($own, $this->service(\App\Store\Snapshot::class)->of($other)->own, $format);
        }
        self::assertStringContainsString("'=Dusk", SheetFile::toCsv([['=Dusk']]));
        self::assertSame([['=a', '-b', '-2', '+c', "'x"]], SheetFile::read(SheetFile::toCsv([['=a', '-b', '-2', '+c', "'x"]])));
    }

    public function testABrokenSheetTellsItsLinesAndKeepsTheTyping(): void
    {
        $before = $this->everything();
        $this->post($this->path('/crops/sheet/in'), ['text' => "crop;value;is\nradish;days_sown;31\nradish;rows;lots\nmoon;rows;2",
            'do' => 'keep']);
        self::assertResponseStatusCodeSame(422);
        self::assertSame(['3', '4'], $this->browser->getCrawler()->filter('tbody td.num')->each(static fn ($td): string => $td->text()));
        self::assertSelectorTextContains('textarea', 'radish,days_sown,31');
        $this->post($this->path('/crops/sheet/in'), ['text' => 'crop,value,is'."\nradish,days_sown,31", 'do' => 'try']);
        self::assertSelectorTextContains('.flash', '1 lines read: 1 differ');
        self::assertSame($before, $this->everything());
    }

    public function testOwnValuesANewerBookCannotUseAreLeftOutAndTheOthersHold(): void
    {
        $entities = $this->service(\Doctrine\ORM\EntityManagerInterface::class);
        foreach ([new OwnValue('leek', 'rows', 'many'), new OwnValue('radish', 'days_sown', '33')] as $value) {
            $entities->persist(new \App\Rows\OwnValueRecord($this->garden, $value));
        }
        $entities->flush();
        $this->browser->request('GET', $this->path('/crops/radish'));
        self::assertResponseIsSuccessful();
        self::assertStringContainsString('33 days', $this->text());
        $this->browser->request('GET', $this->path('/wall'));
        self::assertResponseIsSuccessful();
    }

    public function testAFileThatIsNoSheetIsRefused(): void
    {
        $this->expectException(UnusableSheet::class);
        SheetFile::read("PK\x03\x04 and then nothing of the kind");
    }

    private function form(string $crop, string $query = ''): Form
    {
        return $this->browser->request('GET', $this->path('/crops/'.$crop.'/own'.$query))->selectButton('Show what changes')->form();
    }

    /** @param array<string, string> $with the form as it was shown, with the button pressed */
    private function send(array $with): void
    {
        $form = $this->browser->getCrawler()->selectButton('Show what changes')->form();
        $this->browser->request('POST', $form->getUri(), [...$form->getPhpValues(), ...$with]);
    }
}
