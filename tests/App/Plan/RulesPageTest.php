<?php

declare(strict_types=1);

namespace App\Tests\Plan;

use App\Codec\UnusableFile;
use App\File\GardenReader;
use App\File\GardenWriter;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Keeping;
use JollyFurrow\Garden\Lengths;
use JollyFurrow\Garden\PlanRules;
use JollyFurrow\Garden\ReserveWay;
use JollyFurrow\Garden\SuccessionSchool;
use JollyFurrow\Land\Paths;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\Larkspur;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\DataProvider;

final class RulesPageTest extends AppCase
{
    public function testRulesAreKeptShownAndTakenBack(): void
    {
        $typed = [
            'school' => 'both', 'lengths' => 'halves', 'full_trays' => '1', 'most_sowings' => '2', 'reserve' => '10',
                'reserve_way' => 'extra', 'reserve_beds' => 'a2',
            'recipe_0' => 'tarp-shallow-till', 'paths_0' => 'living', 'families_0' => 'cabbage, Legume',
            'rest_bed_0' => 'A1', 'rest_from_0' => '2026-09-01', 'rest_to_0' => '2027-04-30', 'rest_why_0' => 'clover year',
            'off_what_0' => 'Cabbage', 'off_where_0' => 'A2', 'off_why_0' => 'found clubroot',
            'crop_0' => 'leek', 'method_0' => 'transplanted', 'crop_1' => 'carrot-storage', 'keeping_1' => 'store',
            'cycle_0' => 'cabbage', 'cycle_1' => 'root, leaf', 'weight_gap' => '35',
        ];
        $this->submit($typed);
        self::assertResponseStatusCodeSame(303);
        $rules = $this->rules();

        self::assertSame([SuccessionSchool::Both, Lengths::Halves, true, 2, 0.1, ReserveWay::Extra, ['A2']],
            [$rules->school, $rules->lengths, $rules->fullTrays, $rules->mostSowings, $rules->reserve, $rules->reserveWay,
            $rules->reserveBeds]);
        self::assertSame(['tarp-shallow-till', Paths::Living, ['Cabbage', 'Legume']], [$rules->block('A')->recipe,
            $rules->block('A')->paths, $rules->block('A')->families]);
        self::assertSame(['2027-04-30', 'clover year'], [$rules->resting['A1'][0]->days->last()->iso(), $rules->resting['A1'][0]->why]);
        self::assertSame([Method::Transplanted, Keeping::Store, [['cabbage'], ['root', 'leaf']], 3500.0], [$rules->methods['leek'],
            $rules->keeping['carrot-storage'], $rules->cycle, $rules->weights->gap]);
        $page = $this->browser->request('GET', $this->path('/rules'));
        self::assertSame('Cabbage, Legume', $page->filter('input[name="families_0"]')->attr('value'));
        self::assertEquals($rules,
            $this->service(GardenReader::class)->read((new GardenWriter())->write($this->snapshot()))->settings->rules, 'out and in unchanged');

        $this->submit(['most_sowings' => '5']);
        $this->browser->followRedirect();
        $this->browser->submitForm('Undo');
        self::assertEquals($rules, $this->rules());
    }

    /** In a frost hollow the last night that may kill comes later, and tomatoes with it. */
    public function testAFrostHollowIsKeptAndMakesSpringLater(): void
    {
        $this->submit(['hollow' => '3']);
        self::assertSame(3, $this->rules()->hollow);
        self::assertEquals(3,
            $this->service(GardenReader::class)->read((new GardenWriter())->write($this->snapshot()))->settings->rules->hollow);
        $tomato = Book::crops()->get('tomato');
        $first = static function (int $hollow) use ($tomato): int {
            $timing = PlaceClimate::fromMonths(Larkspur::months(), Larkspur::NORTH)->timing(Larkspur::NORTH, Day::parse('2026-03-01'),
                hollow: $hollow);
            for ($day = Day::parse('2026-04-01'); !($timing->of($tomato, Cover::None)->fromGround($day->number, $day->number,
                Method::Transplanted)?->isPossible() ?? false); $day = $day->plus(1)) {
            }

            return $day->number;
        };
        self::assertGreaterThan($first(0) + 6, $first(3));
    }

    /** The benches of the nursery, typed in either degrees; shown in Fahrenheit and sent back they stay what they were. */
    public function testTheBenchesOfTheNursery(): void
    {
        $this->submit(['warm_night' => '64.4 °F', 'warm_day' => '24', 'cool_night' => '8 °C', 'cool_day' => '']);
        self::assertResponseStatusCodeSame(303);
        self::assertSame(['18/24', '8/17'], [$this->rules()->benches->warm->key(), $this->rules()->benches->cool->key()]);
        $this->submit(['warm_night' => '25', 'warm_day' => '24', 'cool_night' => '-5']);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorExists('input[name=warm_day][aria-invalid]');
        self::assertSelectorExists('input[name=cool_night][value="-5"][aria-invalid]');
        $this->garden = $this->keep(SmallGarden::json(['settings' => ['units' => 'us', 'plan_rules' => ['warm_bench' => ['night_c' => 17.3,
            'day_c' => 22.7]]]]));
        $page = $this->browser->request('GET', $this->path('/rules'));
        self::assertSame('63.1 °F', $page->filter('input[name=warm_night]')->attr('value'));
        $this->browser->submit($page->filter('form[action$="/rules"] button')->form());
        self::assertSame('17.3/22.7', $this->rules()->benches->warm->key());
    }

    public function testOtherSettingsLeaveTheRulesAlone(): void
    {
        $this->submit(['most_sowings' => '3']);
        $this->browser->submit($this->browser->request('GET', $this->path('/settings'))->selectButton('Save')->form());

        self::assertSame(3, $this->rules()->mostSowings);
    }

    /** @param array<string, string> $typed */
    #[DataProvider('faults')]
    public function testWhatIsWrongIsToldAtItsFieldAndNothingIsKept(array $typed, string $field, string $words): void
    {
        $this->submit($typed);

        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('#fault-'.$field, $words);
        self::assertEquals(new PlanRules(), $this->rules());
        self::assertSame(reset($typed), $this->browser->getCrawler()->filter('[name="'.array_key_first($typed).'"]')->attr('value')
            ?? reset($typed));
    }

    /** @return iterable<string, array{array<string, string>, string, string}> */
    public static function faults(): iterable
    {
        yield 'no such bed in reserve' => [['reserve_beds' => 'A1, Q9'], 'reserve_beds', 'There is no bed "Q9"'];
        yield 'a rest that ends before it begins' => [['rest_bed_0' => 'A1', 'rest_from_0' => '2026-09-01',
            'rest_to_0' => '2026-08-01'], 'rest_to_0', 'It ends before it begins'];
        yield 'no such day' => [['rest_bed_0' => 'A1', 'rest_from_0' => '2026-02-31', 'rest_to_0' => '2026-08-01'], 'rest_from_0',
            'does not exist'];
        yield 'a family nobody knows' => [['families_0' => 'Moonfruit'], 'families_0', 'There is no family "Moonfruit"'];
        yield 'a crop not grown like that' => [['crop_0' => 'carrot', 'method_0' => 'transplanted'], 'method_0', 'not grown like that'];
        yield 'a crop that does not keep' => [['crop_0' => 'radish', 'keeping_0' => 'store'], 'keeping_0', 'does not keep in store'];
        yield 'a crop twice' => [['crop_0' => 'leek', 'method_0' => 'sown', 'crop_1' => 'leek', 'method_1' => 'transplanted'], 'crop_1',
            'stands above already'];
        yield 'a group in two years' => [['cycle_0' => 'root', 'cycle_1' => 'leaf, root'], 'cycle_1', 'stands in two years'];
        yield 'a cycle of one year' => [['cycle_0' => 'root'], 'cycle_0', 'at least two years'];
        yield 'a weight below nought' => [['weight_gap' => '-1'], 'weight_gap', 'from 0 to'];
        yield 'too much in reserve' => [['reserve' => '150'], 'reserve', 'from 0 to 100'];
        yield 'not here, nowhere' => [['off_what_0' => 'leek', 'off_where_0' => 'the moon'], 'off_where_0', 'no bed or block'];
    }

    /** @return iterable<string, array{string, mixed, string}> */
    public static function fileFaults(): iterable
    {
        yield 'a bed that is not there' => ['resting', [['bed' => 'Q9', 'from' => '2026-09-01', 'to' => '2026-10-01', 'why' => '']],
            'resting[0].bed'];
        yield 'a rest turned round' => ['resting', [['bed' => 'A1', 'from' => '2026-09-01', 'to' => '2026-08-01', 'why' => '']],
            'resting[0].to'];
        yield 'a recipe nobody knows' => ['blocks', [['block' => 'A', 'recipe' => 'by-magic', 'paths' => 'hoed', 'families' => []]],
            'blocks[0].recipe'];
        yield 'no such way' => ['reserve_way', 'more', 'reserve_way'];
        yield 'a reserve above all' => ['reserve', 1.5, 'reserve'];
        yield 'a bed in reserve that is not there' => ['reserve_beds', ['Q9'], 'reserve_beds'];
    }

    #[DataProvider('fileFaults')]
    public function testAFileWithRulesThatAreWrongIsRefusedAtTheField(string $field, mixed $value, string $at): void
    {
        $values = SmallGarden::values();
        \assert(\is_array($values['settings']));
        $values['settings']['plan_rules'] = [$field => $value];
        try {
            $this->service(GardenReader::class)->read(json_encode($values, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION));
            self::fail('It was taken.');
        } catch (UnusableFile $unusable) {
            self::assertStringContainsString('settings.plan_rules.'.$at, $unusable->getMessage());
        }
    }

    /** @param array<string, string> $typed */
    private function submit(array $typed): void
    {
        $form = $this->browser->request('GET', $this->path('/rules'))->selectButton('Save')->form();
        $form->disableValidation();
        $this->browser->submit($form, $typed);
    }

    private function rules(): PlanRules
    {
        return $this->snapshot()->settings->rules;
    }
}
