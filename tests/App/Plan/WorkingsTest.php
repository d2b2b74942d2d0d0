<?php

declare(strict_types=1);

namespace App\Tests\Plan;

use App\Books\SoilTables;
use App\File\GardenReader;
use App\Plan\PlantingSheet;
use App\Tests\Support\AppCase;
use App\Wording\Sayer;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Feed\Feeding;
use JollyFurrow\Feed\FeedWorking;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Work\CareCalendar;
use JollyFurrow\Working\Working;
use Symfony\Component\ExpressionLanguage\ExpressionFunction;
use Symfony\Component\ExpressionLanguage\ExpressionLanguage;

/** Every number of every planting of the demo, worked out again from its own inputs by a library that knows nothing of us. */
final class WorkingsTest extends AppCase
{
    public function testEveryWorkingRecomputesToItsNumber(): void
    {
        $sayer = $this->service(Sayer::class);
        $language = new ExpressionLanguage();
        foreach (['ceil', 'floor', 'round', 'min', 'max'] as $name) {
            $language->addFunction(ExpressionFunction::fromPhp($name));
        }
        $count = 0;
        foreach ($this->workings() as $key => $working) {
            $inputs = [];
            foreach ($working->inputs as $input) {
                $inputs[$input->name] = $input->value;
                $named = $sayer->label($working, $input).$sayer->source($input->source).$sayer->title($working).$sayer->formula($working);
                self::assertDoesNotMatchRegularExpression('/\b(sum|label|from|source-kind)\.[a-z]/', $named, $key.': a word is missing');
            }
            $again = $language->evaluate($working->expression, $inputs);
            self::assertIsNumeric($again);
            self::assertEqualsWithDelta($working->value, (float) $again, 1e-9 * max(1.0, abs($working->value)), $key);
            ++$count;
        }
        self::assertGreaterThan(2000, $count);
    }

    /** @return \Generator<string, Working> */
    private function workings(): \Generator
    {
        $book = $this->service(CropBook::class);
        $recipes = $this->service(RecipeBook::class);
        $garden = $this->service(GardenReader::class)->read((string) file_get_contents(__DIR__.'/../../../demo/garden.json'));
        $plan = $this->service(Planner::class)->draw($garden);
        $drawn = $garden->with($plan->plantings());
        $feeding = new Feeding($drawn, $book, $recipes, $this->service(SoilTables::class)->needs(),
            $this->service(SoilTables::class)->calendar(),
            new CareCalendar($drawn, $book, $recipes, []));
        foreach ($plan->new as $planting) {
            $sheet = PlantingSheet::of($planting, $book->get($planting->item), $garden, $recipes);
            $hours = array_map(static fn (\JollyFurrow\Preparation\DatedStep $step): Working => $step->hours,
                (new \JollyFurrow\Preparation\Leads($garden))->dated($recipes->get($planting->recipe), $planting));
            $all = [$sheet->spots, $sheet->seed->plants, $sheet->seed->cells, $sheet->seed->trays, $sheet->seed->seeds,
                $sheet->seed->grams, $sheet->compost->working, $sheet->fertiliser, $sheet->yield, ...$sheet->dates, ...$hours];
            $feed = $feeding->plan()->get($planting->key);
            foreach ($feed->pieces ?? [] as $piece) {
                array_push($all, ...FeedWorking::of($piece, $feed->row ?? throw new \LogicException('never')));
            }
            self::assertCount(2, $sheet->dates, $planting->key);
            foreach (array_filter($all) as $working) {
                yield $planting->key.': '.$working->sum->value => $working;
            }
        }
    }
}
