<?php

declare(strict_types=1);

namespace App\Market\Command;

use App\Books\GardenBooks;
use App\Books\StoreTables;
use App\File\GardenFileArgument;
use App\Market\GlutController;
use JollyFurrow\Forecast\ComingUp;
use JollyFurrow\Forecast\Glut;
use JollyFurrow\Forecast\GlutPart;
use JollyFurrow\Forecast\MarketForecast;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Market\ComingLine;
use JollyFurrow\Market\CropWorth;
use JollyFurrow\Market\NextPromise;
use JollyFurrow\Market\SaleTrace;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('market', 'Prints what is coming up for each outlet of a garden file, what is ordered and not sure, which lots were sold '
    .'where, what each crop was worth this season, what is too much and where it may go, and promises from sales, as JSON. '
    .'Exit code 0: done; '
    .'1: more is wanted than is sure; 2: the file cannot be used.')]
final class MarketCommand extends Command
{
    private const DAYS = 28;

    public function __construct(private readonly GardenFileArgument $file, private readonly GardenBooks $books,
        private readonly StoreTables $tables)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        GardenFileArgument::on($this);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $garden = $this->file->read($input, $output);
        if (null === $garden) {
            return Command::INVALID;
        }
        $crops = $this->books->with($garden->own);
        $forecast = MarketForecast::of($garden, $crops, self::DAYS);
        $coming = [];
        $unsure = 0;
        foreach ($garden->outlets as $outlet) {
            foreach (ComingUp::for($outlet->key, $garden, $crops, $forecast)->days as $lines) {
                $unsure += \count(array_filter($lines, static fn (ComingLine $l): bool => $l->notSure() > 0.0));
                array_push($coming, ...array_map(static fn (ComingLine $l): array => ['outlet' => $outlet->key, 'day' => $l->day->iso(),
                    'product' => $l->product->key, 'sure' => $l->sure, 'likely' => $l->likely, 'promised' => $l->promised,
                    'ordered' => $l->ordered, 'cents' => $l->price->each->cents, 'until' => $l->until?->iso()], $lines));
            }
        }
        $this->file->answer($output, ['garden' => $garden->name, 'today' => $garden->today->iso(), 'coming' => $coming,
            'sold' => SaleTrace::of($garden, $garden->market->days)->lots, 'worth' => array_map(static fn (CropWorth $w): array => [
                'item' => $w->crop->item(), 'takings_cents' => round($w->takings), 'hours' => round($w->hours, 2), 'bought_cents' => round(
                    $w->bought), 'metre_weeks' => round($w->metreWeeks, 1), 'cents_a_metre_and_week' => round($w->perMetreWeek(), 1),
                'missing' => array_column($w->missing, 'value')], CropWorth::all($garden, $crops, self::year($garden))),
            'too_much' => array_map(static fn (Glut $g): array => ['product' => $g->product->key, 'units' => $g->units,
                'first_lost' => $g->first->iso(), 'ways' => array_map(static fn (GlutPart $p): array => ['kind' => $p->kind->value,
                    'name' => $p->name, 'units' => $p->units, 'cents' => round($p->cents, 1)], $g->ways)], Glut::all($garden, $crops,
                        GlutController::DAYS, $this->tables->picking()->hoursOf($crops, $garden->products))),
            'promises_from_sales' => array_map(static fn (NextPromise $n): array => ['outlet' => $n->outlet->key,
                'product' => $n->product->key, 'from' => $n->days[0]->iso(), 'market_days' => \count($n->days), 'promised' => round(
                    $n->promised, 2), 'sold' => [$n->least, $n->most], 'sold_out' => $n->soldOut, 'proposed' => $n->proposed],
                NextPromise::all($garden))]);
        $this->file->complain($output, \sprintf('%d to come, %d not sure.', \count($coming), $unsure));

        return 0 === $unsure ? Command::SUCCESS : Command::FAILURE;
    }

    private static function year(Garden $garden): Period
    {
        return Period::fromFirstToLast(Day::fromDate($garden->today->year(), 1, 1), Day::fromDate($garden->today->year(), 12, 31));
    }
}
