<?php

declare(strict_types=1);

namespace App\Wall;

use App\Change\Replacement;
use App\Hand\HandChange;
use App\Shared\Entry;
use App\Wording\Sayer;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\ByHand;
use JollyFurrow\Hand\CannotBeDone;
use JollyFurrow\Measure\Length;
use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;

/** One change made on the wall: as on the page of a planting, and what can only be pointed at: a quarter more or less, a swap. */
final readonly class WallChange
{
    private const QUARTERS = 4;

    private ByHand $byHand;

    public function __construct(private HandChange $hand, private CropBook $book, RecipeBook $recipes, private Sayer $sayer,
        private FromShelf $fromShelf)
    {
        $this->byHand = new ByHand($book, $recipes);
    }

    /**
     * @param array<string, string> $change do: move, longer, shorter, swap, again, length, split, variety, method, recipe, lock,
     *                                      delete; planting: its key; and the fields of it; or add, with a crop
     *
     * @return Replacement|string|Message|null what is wrong with it; null: the planting is not there
     */
    public function in(array $change, Garden $garden): Replacement|string|Message|null
    {
        if ('add' === ($change['do'] ?? '')) {
            return $this->fromShelf->add($change, $garden);
        }
        $planting = $garden->plantings->get($change['planting'] ?? '');
        if (null === $planting) {
            return null;
        }
        try {
            return match ($change['do'] ?? '') {
                'longer' => $this->byQuarters($garden, $planting, 1),
                'shorter' => $this->byQuarters($garden, $planting, -1),
                'swap' => $this->swapped($garden, $planting, $change['with'] ?? ''),
                default => $this->asOnItsPage($change, $garden, $planting),
            };
        } catch (CannotBeDone $not) {
            return $not->said();
        }
    }

    /** @param array<string, string> $change */
    private function asOnItsPage(array $change, Garden $garden, Planting $planting): Replacement|string|Message|null
    {
        $do = isset(HandChange::DO[$change['do'] ?? '']) ? $change['do'] : 'move';
        $entry = new Entry(['when' => ('sow' === HandChange::movableDay($planting) ? $planting->sow : $planting->ground)->iso(),
            ...array_diff_key(
                $change, ['do' => true, 'planting' => true])]);
        $replacement = $this->hand->read($entry, $garden, $planting, $do);

        return $replacement ?? array_values($entry->faults())[0] ?? null;
    }

    private function byQuarters(Garden $garden, Planting $planting, int $quarters): Replacement
    {
        $piece = $planting->pieces[\count($planting->pieces) - 1] ?? throw CannotBeDone::noRoom('', $planting->length());
        $bed = $garden->bedsByName()[$piece->bed] ?? throw CannotBeDone::noRoom($piece->bed, $planting->length());
        $long = $planting->length()->micrometres + $quarters * intdiv($bed->length->micrometres, self::QUARTERS);

        return new Replacement([$planting], [$this->byHand->asLongAs($planting, $long)], \sprintf('%s on bed %s made %s long',
            $this->book->get($planting->item)->name, $bed->name, $this->sayer->long(Length::fromMicrometres($long))));
    }

    /** Each in the place of the other. */
    private function swapped(Garden $garden, Planting $planting, string $key): ?Replacement
    {
        $other = $garden->plantings->get($key);
        if (null === $other || !isset($planting->pieces[0], $other->pieces[0])) {
            return null;
        }
        [$here, $there] = [$planting->pieces[0], $other->pieces[0]];

        return new Replacement([$planting, $other], [$this->byHand->onto($garden, $planting, $there->bed, $there->from),
            $this->byHand->onto($garden, $other, $here->bed, $here->from)], \sprintf('%s on bed %s and %s on bed %s swapped',
                $this->book->get($planting->item)->name, $here->bed, $this->book->get($other->item)->name, $there->bed));
    }
}
