<?php

declare(strict_types=1);

namespace App\Feed\Command;

use App\Books\CareFile;
use App\Books\GardenBooks;
use App\Books\SoilTables;
use App\File\GardenFileArgument;
use JollyFurrow\Feed\Credit;
use JollyFurrow\Feed\Feeding;
use JollyFurrow\Feed\MixCard;
use JollyFurrow\Feed\PieceFeed;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shed\BedDose;
use JollyFurrow\Shed\Mix;
use JollyFurrow\Soil\Nutrient;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Work\CareCalendar;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('feed', 'Prints who is fed what of a garden file, planting by planting and dose by dose, as JSON. '
    .'Exit code 0: done; 1: the shed lacks a nutrient; 2: the file cannot be used.')]
final class FeedCommand extends Command
{
    public function __construct(private readonly GardenFileArgument $file, private readonly GardenBooks $books,
        private readonly RecipeBook $recipes, private readonly CareFile $care, private readonly SoilTables $tables)
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
        $book = $this->books->with($garden->own);
        $recipes = $this->recipes->with($garden->recipes);
        $feeding = new Feeding($garden, $book, $recipes, $this->tables->needs(), $this->tables->calendar(), new CareCalendar($garden, $book,
            $recipes, $this->care->load()));
        $lacking = 0;
        $plantings = [];
        foreach ($feeding->plan()->plantings as $key => $feed) {
            $doses = [];
            foreach ($feed->doses() as $n => $dose) {
                $mixes = [] === $garden->soil->shed ? [] : MixCard::of($garden, [[$feed, $n]]);
                $lacking += \count(array_filter($mixes, static fn (Mix $m): bool => [] !== $m->lacking));
                $doses[] = ['step' => $dose->step, 'day' => $dose->day->iso(), 'part_of_nitrogen' => round($dose->part, 4),
                    'mixes' => array_map(self::mix(...), $mixes)];
            }
            $plantings[] = ['planting' => $key, 'row' => $feed->row->key, 'pieces' => array_map(self::piece(...), $feed->pieces),
                'doses' => $doses];
        }
        $this->file->answer($output, ['garden' => $garden->name, 'today' => $garden->today->iso(), 'unit' => 'g/m2',
            'plantings' => $plantings]);
        $this->file->complain($output, \sprintf('%d plantings; %d mixes lack a nutrient.', \count($plantings), $lacking));

        return 0 === $lacking ? Command::SUCCESS : Command::FAILURE;
    }

    /** @return array<string, mixed> */
    private static function piece(PieceFeed $piece): array
    {
        return ['bed' => $piece->stretch->bed, 'area_m2' => round($piece->area->squareMetres, 3), 'need' => self::three($piece->need),
            'credits' => array_map(static fn (Credit $c): array => ['of' => $c->kind->value, ...self::three($c->gives)], $piece->credits),
            'used' => self::three($piece->used), 'left_over' => self::three($piece->surplus), 'to_give' => self::three($piece->left)];
    }

    /** @return array<string, mixed> */
    private static function mix(Mix $mix): array
    {
        return ['kg' => array_combine(array_map(static fn (array $p): string => $p['product']->key, $mix->parts),
            array_map(static fn (array $p): float => round($mix->kilograms($p['product']), 3), $mix->parts)),
            'cents' => round($mix->cents), 'within_what_is_allowed' => $mix->isWithin,
            'lacking' => array_map(static fn (Nutrient $n): string => $n->value, $mix->lacking),
            'beds' => array_map(static fn (BedDose $b): array => ['bed' => $b->bed->bed, 'kg' => round($b->kg, 3),
                'short' => round($b->short, 4),
                'over' => self::three($b->excess)], $mix->beds)];
    }

    /** @return array<string, float> */
    private static function three(Nutrients $n): array
    {
        return ['n' => round($n->n, 3), 'p2o5' => round($n->p2o5, 3), 'k2o' => round($n->k2o, 3)];
    }
}
