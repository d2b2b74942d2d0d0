<?php

declare(strict_types=1);

namespace App\File;

use App\Books\GardenBooks;
use App\Books\StoreTables;
use App\Codec\ClimateFile;
use App\Codec\DiaryFile;
use App\Codec\MapFile;
use App\Codec\MarketFile;
use App\Codec\Millimetres;
use App\Codec\Node;
use App\Codec\PlanRulesFile;
use App\Codec\PlantingReader;
use App\Codec\PromiseReader;
use App\Codec\ProtectionReader;
use App\Codec\RecipeReader;
use App\Codec\SoilFile;
use App\Codec\StoreFile;
use App\Codec\StretchReader;
use App\Codec\TemperFile;
use App\Codec\UnusableFile;
use App\Shared\Faults;
use JollyFurrow\Book\BookFault;
use JollyFurrow\Book\OldValues;
use JollyFurrow\Book\OwnValue;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Diary\About;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\DateForm;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\PlanRules;
use JollyFurrow\Garden\Practice;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\BedName;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Land\Temper;
use JollyFurrow\Map\GroundMap;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Units;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\Kit;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Weekday;

/** Reads a garden file; docs/garden-file.schema.json describes it. */
final readonly class GardenReader
{
    public const FORMAT = 'jolly-furrow-garden';
    public const VERSION = 3;
    /** The oldest that is still read. */
    private const OLDEST = 1;
    /** From this version on lengths have decimals of a millimetre where they need them. */
    private const EXACT_LENGTHS = 3;

    public function __construct(private GardenBooks $books, private RecipeBook $recipes, private StoreTables $stores)
    {
    }

    /** @throws UnusableFile naming every field that is wrong */
    public function read(string $json): Garden
    {
        if (\strlen($json) > Limits::GARDEN_FILE_BYTES || substr_count($json, '[') + substr_count($json, '{') > Limits::GARDEN_FILE_PARTS
            || substr_count($json, ',') > Limits::GARDEN_FILE_VALUES) {
            throw UnusableFile::tooLarge(intdiv(Limits::GARDEN_FILE_BYTES, 1_000_000));
        }
        try {
            $values = json_decode($json, true, 32, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw UnusableFile::notJson($e->getMessage());
        }
        $faults = new Faults();
        $root = new Node(\is_array($values) ? self::translated($values) : [], '', $faults);
        $garden = $this->garden($root, $faults);
        if (null === $garden || $faults->areThere()) {
            throw UnusableFile::with($faults);
        }

        return $garden;
    }

    /**
     * What files of earlier versions meant: their lengths were whole millimetres, in feet and inches too.
     *
     * @param array<mixed> $values
     *
     * @return array<mixed>
     */
    private static function translated(array $values): array
    {
        $isInch = \is_array($values['settings'] ?? null) && Units::UsCustomary->value === ($values['settings']['units'] ?? null);

        return $isInch && \is_int($values['version'] ?? null) && $values['version'] < self::EXACT_LENGTHS
            ? Millimetres::inInches($values) : $values;
    }

    private function garden(Node $root, Faults $faults): ?Garden
    {
        if (self::FORMAT !== $root->text('format')) {
            $root->fault('format', 'must be "'.self::FORMAT.'".');

            return null;
        }
        $root->int('version', self::OLDEST, self::VERSION);
        $blocks = array_values(array_unique($root->texts('blocks', Limits::BLOCKS, Limits::BLOCK_NAME)));
        $beds = $this->beds($root, $blocks);
        $lengths = array_map(static fn (Bed $bed): int => $bed->length->micrometres, $beds);
        $name = $root->text('name');
        $today = $root->day('today');
        $place = $this->place($root->object('place'));
        $ownRecipes = self::recipes($root);
        $recipes = $this->recipes->with($ownRecipes);
        $settings = $this->settings($root->object('settings'), $recipes, array_map(strval(...), array_keys($beds)), $blocks);
        $history = $this->history($root, $lengths);
        $own = $this->own($root);
        $book = $this->book($root, $own);
        $promises = new PromiseReader($book);
        $outlets = $promises->outlets($root);
        $products = $promises->products($root);
        $promised = $promises->promises($root, array_keys($outlets), array_keys($products));
        $reader = new PlantingReader($book, $recipes);
        $plantings = $reader->plantings($root, $beds);
        $notes = $reader->notes($root, $plantings);
        $climate = $root->has('climate') ? ClimateFile::read($root->object('climate'), $place->latitude) : null;

        $protections = ProtectionReader::protections($root, $beds, $plantings);
        $names = array_map(strval(...), array_keys($beds));
        $soil = SoilFile::read($root, $names, $blocks);
        $store = StoreFile::read($root, $names)->keptBy($this->stores->keeping());
        $sprays = StoreFile::sprays($root, $names);
        $market = MarketFile::read($root, array_map(strval(...), array_keys($outlets)), array_map(strval(...), array_keys($products)));
        $diary = DiaryFile::read($root, $book, [About::Planting->value => array_map(static fn (Planting $p): string => $p->key, $plantings),
            About::Bed->value => array_map(strval(...), array_keys($beds)), About::Block->value => $blocks]);

        return $faults->areThere() ? null : new Garden($name, $today, $place, $settings, $blocks, array_values($beds), $history,
            array_values($outlets), array_values($products), $promised, $plantings, $notes, $climate, $protections, $own, $ownRecipes,
            $root->has('practice') ? Practice::seeded($root->object('practice')->int('seed', 0, 999_999)) : null, $diary, $soil,
            $store, $sprays, $market);
    }

    /** @return list<Recipe> by key */
    private static function recipes(Node $root): array
    {
        $recipes = [];
        foreach ($root->has('own_recipes') ? $root->objects('own_recipes', 200) : [] as $node) {
            $recipe = RecipeReader::recipe($node->key('key'), $node);
            if (null !== $recipe) {
                $recipes[$recipe->key] = $recipe;
            }
        }
        ksort($recipes);

        return array_values($recipes);
    }

    /** @return list<OwnValue> */
    private function own(Node $root): array
    {
        $own = array_map(static fn (Node $node): OwnValue => new OwnValue($node->key('crop'), $node->text('value', 40),
            $node->text('is', 400, '/^/u'), $node->text('note', 400, '/^/u')), $root->has('own_values') ? $root->objects('own_values',
                Limits::BOOK_ROWS) : []);
        $own = OldValues::told(array_values($own));
        usort($own, static fn (OwnValue $a, OwnValue $b): int => [$a->crop, $a->name] <=> [$b->crop, $b->name]);

        return $own;
    }

    /**
     * The book that ships, with the file's own values; without them where they make no book.
     *
     * @param list<OwnValue> $own
     */
    private function book(Node $root, array $own): CropBook
    {
        try {
            return $this->books->with($own);
        } catch (BookFault $fault) {
            $root->fault('own_values', $fault->getMessage());

            return $this->books->shipped();
        }
    }

    private function place(Node $node): Place
    {
        return new Place($node->text('name'), $node->float('latitude', -66, 66), $node->int('altitude_m', -400, 5000),
            $node->monthDay('last_frost'), $node->monthDay('first_frost'));
    }

    /**
     * @param list<string> $beds   names
     * @param list<string> $blocks names
     */
    private function settings(Node $node, RecipeBook $recipes, array $beds, array $blocks): Settings
    {
        $days = [];
        foreach ($node->texts('sowing_days', 7) as $word) {
            $day = array_values(array_filter(Weekday::cases(), static fn (Weekday $d): bool => $d->name === $word))[0] ?? null;
            if (null === $day) {
                $node->fault('sowing_days', 'takes names of weekdays such as Tuesday.');
                continue;
            }
            $days[$day->value] = $day;
        }
        if ([] === $days) {
            $node->fault('sowing_days', 'needs at least one day of the week.');
            $days = [Weekday::Monday];
        }
        $recipe = $node->key('recipe');
        if (!$recipes->has($recipe)) {
            $node->fault('recipe', 'is no preparation recipe there is.');
        }
        $rent = $node->object('rent');
        $rotation = $node->object('rotation_years');
        $places = array_map(static fn (PlaceType $p): string => $p->value, PlaceType::cases());

        return new Settings(
            $node->choice('units', Units::class),
            $node->text('currency', 3, '/^[A-Z]{3}$/', 'a currency code such as EUR'),
            array_values($days),
            $recipe,
            array_combine($places, array_map(static fn (string $p): float => $rent->float($p, 0.01, 100000), $places)),
            $node->float('shortage_factor', 0.01, 1000),
            $node->float('keeping_share', 0, 1),
            $node->int('wage', 0, 1_000_000),
            array_combine($places, array_map(static fn (string $p): int => $rotation->int($p, 0, 12), $places)),
            Length::fromMicrometres($node->length('compost_depth_mm', 0, 300)),
            $node->float('nitrogen_rate_g_m2', 0, 40),
            $node->float('fertiliser_nitrogen_percent', 0.1, 100),
            $node->has('kit_mm') ? self::kit($node->object('kit_mm')) : [],
            $node->has('plan_rules') ? PlanRulesFile::read($node->object('plan_rules'), $recipes, $beds, $blocks) : new PlanRules(),
            $node->has('date_form') ? $node->choice('date_form', DateForm::class) : null,
            self::timeZone($node),
            $node->has('map') ? MapFile::read($node->object('map'), $blocks) : new GroundMap(),
        );
    }

    private static function timeZone(Node $node): string
    {
        $zone = $node->has('time_zone') ? $node->text('time_zone', 64) : '';
        if ('' !== $zone && !\in_array($zone, \DateTimeZone::listIdentifiers(), true)) {
            $node->fault('time_zone', 'must be a time zone by its name, for example "Europe/Lisbon".');
        }

        return $zone;
    }

    /** @return array<string, int> */
    private static function kit(Node $node): array
    {
        $kit = [];
        foreach (Kit::cases() as $one) {
            if ($node->has($one->value)) {
                $kit[$one->value] = $node->length($one->value, 0, 100_000_000);
            }
        }

        return $kit;
    }

    /**
     * @param list<string> $blocks
     *
     * @return array<string, Bed> by name, block by block: walking order follows from the order of blocks
     */
    private function beds(Node $root, array $blocks): array
    {
        $beds = [];
        foreach ($root->objects('beds', Limits::BEDS) as $position => $node) {
            $name = $node->text('name', Limits::BED_NAME);
            if ('' !== $name && !BedName::isGood($name)) {
                $node->fault('name', 'must be without signs such as / and \\ and without blanks around it.');
            }
            if (isset($beds[$name])) {
                $node->fault('name', 'stands twice; every bed needs a name of its own.');
            }
            $block = $node->text('block', Limits::BLOCK_NAME);
            if (!\in_array($block, $blocks, true)) {
                $node->fault('block', 'is not among the blocks of this file.');
            }
            $beds[$name] = new Bed($name, $block, $position, Length::fromMicrometres($node->length('length_mm', 500, 500_000)),
                Length::fromMicrometres($node->length('width_mm', 100, 10_000)), Length::fromMicrometres($node->length('path_mm', 0,
                    10_000)),
                $node->choice('place', PlaceType::class), $node->has('temper') ? TemperFile::readTemper($node->object('temper'))
                : new Temper(), $node->has('quarantine') ? TemperFile::readQuarantine($node->objects('quarantine', 50)) : [],
                $node->has('retired') ? $node->day('retired') : null);
        }

        $order = array_flip($blocks);
        uasort($beds, static fn (Bed $a, Bed $b): int => [$order[$a->block] ?? 0, $a->position] <=> [$order[$b->block] ?? 0, $b->position]);

        return $beds;
    }

    /**
     * @param array<string, int> $lengths
     *
     * @return list<PastCrop>
     */
    private function history(Node $root, array $lengths): array
    {
        $history = [];
        foreach ($root->objects('history', Limits::PAST_CROPS) as $node) {
            $stretch = StretchReader::stretch($node, $lengths);
            $crop = $node->text('crop', 60);
            $cleared = $node->day('cleared');
            if (null !== $stretch) {
                $history[] = new PastCrop($stretch, $crop, $cleared);
            }
        }

        return $history;
    }
}
