<?php

declare(strict_types=1);

namespace App\Harvest\Command;

use App\Books\GardenBooks;
use App\File\GardenFileArgument;
use JollyFurrow\Keep\Holding;
use JollyFurrow\Stock\ItemStock;
use JollyFurrow\Stock\RoomWeeks;
use JollyFurrow\Stock\StoreForecast;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('store', 'Prints what of a garden file lies where, until when it is good and until when it lasts, as JSON. '
    .'Exit code 0: done; 1: something does not last or a room is full; 2: the file cannot be used.')]
final class StoreCommand extends Command
{
    public function __construct(private readonly GardenFileArgument $file, private readonly GardenBooks $books)
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
        $forecast = StoreForecast::of($garden, $this->books->with($garden->own));
        $short = $forecast->short();
        $full = array_filter($forecast->rooms, static fn (RoomWeeks $r): bool => null !== $r->fullFrom());
        $this->file->answer($output, ['garden' => $garden->name, 'today' => $garden->today->iso(),
            'sell_first' => array_map(self::holding(...), $forecast->holdings->all), 'items' => array_map(self::item(...),
                array_values($forecast->items)), 'places' => array_map(self::room(...), $forecast->rooms)]);
        $this->file->complain($output, \sprintf('%d lots in store, %d crops do not last, %d places get full.',
            \count($forecast->holdings->all), \count($short), \count($full)));

        return [] === $short && [] === $full ? Command::SUCCESS : Command::FAILURE;
    }

    /** @return array<string, mixed> */
    private static function holding(Holding $holding): array
    {
        return ['lot' => $holding->lot->key, 'item' => $holding->lot->item, 'place' => $holding->place->key, 'units' => $holding->units(),
            'unit' => $holding->crop->produce->unit,
                'good_until' => ['early' => $holding->early->iso(), 'likely' => $holding->likely->iso(),
                'late' => $holding->late->iso()], 'life_used' => round($holding->spent, 3)];
    }

    /** @return array<string, mixed> */
    private static function item(ItemStock $item): array
    {
        return ['item' => $item->item, 'in_store' => $item->there(), 'short_from' => $item->endsOn()?->iso(),
            'short_units' => round($item->until->short, 1), 'share_that_lasts' => round($item->until->share, 4),
            'promised_to' => $item->lastPromised()?->iso(),
            'left_in_the_ground_to' => null === $item->ground ? null : ['nine_years_in_ten' => $item->ground->sure->iso(),
                'every_second_year' => $item->ground->evens->iso()],
            'would_last_longer' => null === $item->other ? null : ['place' => $item->other->place?->key, 'colder' => $item->other->colder]];
    }

    /** @return array<string, mixed> */
    private static function room(RoomWeeks $room): array
    {
        $weeks = [];
        foreach (array_keys($room->crates) as $week) {
            $weeks[$room->day($week)->iso()] = round($room->in($week), 1);
        }
        $full = $room->fullFrom();

        return ['place' => $room->place->key, 'room_crates' => $room->place->crates, 'full_from' => null === $full ? null
            : $room->day($full)->iso(), 'crates_by_week' => $weeks];
    }
}
