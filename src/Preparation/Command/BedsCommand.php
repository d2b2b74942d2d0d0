<?php

declare(strict_types=1);

namespace App\Preparation\Command;

use App\Books\CareFile;
use App\Books\GardenBooks;
use App\Codec\Millimetres;
use App\File\GardenFileArgument;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\LateBed;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Preparation\DatedStep;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\Day;
use JollyFurrow\Work\CareCalendar;
use JollyFurrow\Work\CareStep;
use JollyFurrow\Work\KitNeed;
use JollyFurrow\Work\PathCare;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('beds', 'Prints the preparation and care of every planting of a garden file, with days and hours, compost, and kit by week, as JSON. Exit code 0: done; 1: some beds are late or kit is short; 2: the file cannot be used.')]
final class BedsCommand extends Command
{
    private const PATHS_DAYS = 56;

    public function __construct(private readonly GardenFileArgument $file, private readonly GardenBooks $books,
        private readonly RecipeBook $recipes, private readonly CareFile $care)
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
        $leads = new Leads($garden);
        $ahead = $garden->plantings->where(static fn (Planting $p): bool => !$p->ground->isBefore($garden->today))->all();
        $book = $this->books->with($garden->own);
        $recipes = $this->recipes->with($garden->recipes);
        $late = LateBed::all($garden, $book, $recipes);
        $care = new CareCalendar($garden, $book, $recipes, $this->care->load());
        $standing = $garden->plantings->where(static fn (Planting $p): bool => !$p->isOver($garden->today))->all();
        $kit = $this->kit($garden, $recipes, $care);
        $this->file->answer($output, [
            'garden' => $garden->name,
            'today' => $garden->today->iso(),
            'plantings' => array_map(fn (Planting $p): array => $this->planting($garden, $recipes, $leads, $p), $ahead),
            'care' => array_map(static fn (Planting $p): array => ['planting' => $p->key,
                'beds' => array_map(static fn ($piece): string => $piece->bed, $p->pieces),
                'steps' => array_map(static fn (CareStep $s): array => ['day' => $s->day->iso(), 'name' => $s->name,
                'hours' => round($s->hours, 2), 'tool' => $s->tool], $care->of($p))], $standing),
            'paths' => array_map(static fn (PathCare $p): array => ['day' => $p->day->iso(), 'block' => $p->block,
                'name' => $p->paths->work(), 'hours' => round($p->hours, 2)], PathCare::between($garden, $garden->today,
                    $garden->today->plus(self::PATHS_DAYS))),
            'late' => array_map(static fn (LateBed $l): array => ['planting' => $l->planting->key, 'days' => $l->days,
                    'quicker' => $l->by?->key, 'elsewhere' => $l->elsewhere?->pieces[0]->bed, 'later' => $l->later?->ground->iso()], $late),
            'kit' => $kit,
        ]);
        $short = array_filter($kit, static fn (array $one): bool => $one['short'] > 0);
        $this->file->complain($output, \sprintf('%d plantings ahead, %d beds late, %d kinds of kit short.', \count($ahead),
            \count($late), \count($short)));

        return [] === $late && [] === $short ? Command::SUCCESS : Command::FAILURE;
    }

    /** @return array<string, mixed> */
    private function planting(Garden $garden, RecipeBook $recipes, Leads $leads, Planting $planting): array
    {
        $recipe = $recipes->get($planting->recipe);
        $beds = $garden->bedsByName();
        $litres = array_sum(array_map(static fn ($piece): float => $piece->length()->metres() * $beds[$piece->bed]->width->metres() * $garden->settings->compostDepth->metres() * 1000 * $piece->widthShare, $planting->pieces));

        return [
            'planting' => $planting->key,
            'beds' => array_map(static fn ($piece): string => $piece->bed, $planting->pieces),
            'length_mm' => Millimetres::of($planting->length()->micrometres),
            'recipe' => $recipe->key,
            'bed_start' => $planting->bedStart->iso(),
            'ground' => $planting->ground->iso(),
            'steps' => array_map(static fn (DatedStep $s): array => ['day' => $s->day->iso(), 'name' => $s->step->name,
                'hours' => round($s->hours->value, 2), 'tool' => $s->step->tool, 'condition' => $s->step->condition,
                'caution' => $s->step->caution], $leads->dated($recipe, $planting)),
            'compost_litres' => $recipe->spreadsCompost ? round($litres) : 0.0,
        ];
    }

    /** @return list<array{kit: string, have_metres: float|null, short: int, weeks: array<string, float>}> short: weeks */
    private function kit(Garden $garden, RecipeBook $recipes, CareCalendar $care): array
    {
        $rows = [];
        foreach (KitNeed::byWeek($garden, $recipes, $care) as $kit => $weeks) {
            $have = isset($garden->settings->kit[$kit]) ? $garden->settings->kit[$kit] / Length::METRE : null;
            $rows[] = ['kit' => $kit, 'have_metres' => $have, 'short' => null === $have ? 0
                : \count(array_filter($weeks, static fn (float $m): bool => $m > $have + 0.01)),
                'weeks' => array_combine(array_map(static fn (int $monday): string => Day::of($monday)->iso(), array_keys($weeks)),
                    array_values($weeks))];
        }

        return $rows;
    }
}
