<?php

declare(strict_types=1);

namespace App\Wall;

use App\Change\Replacement;
use App\Shared\Entry;
use App\Wording\Sayer;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\ByRhythm;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\PlantingKey;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\Day;
use JollyFurrow\Ways\Candidates;

/** A crop taken from the shelf and put on a bed: planned for a sowing day, with all that follows from it. */
final readonly class FromShelf
{
    /** Parts of a bed it takes where nothing is said. */
    private const QUARTERS = 4;

    public function __construct(private CropBook $book, private RecipeBook $recipes, private Sayer $sayer)
    {
    }

    /**
     * @param array<string, string> $change item, when, bed; and, where it is said: variety, method, length
     *
     * @return Replacement|string|Message what is wrong with it
     */
    public function add(array $change, Garden $garden): Replacement|string|Message
    {
        $entry = new Entry($change);
        $crop = $this->crop($change);
        $bed = $garden->bedsByName()[$change['bed'] ?? ''] ?? null;
        $when = $entry->day('when');
        $long = '' === $entry->raw('length') ? intdiv($bed->length->micrometres ?? 0, self::QUARTERS)
            : $entry->length('length', $garden->settings->units->longUnit(), 0.1, 500)->micrometres;
        if (!$entry->isGood()) {
            return array_values($entry->faults())[0];
        }
        if (null === $crop || null === $bed || $bed->isRetiredOn($garden->today)) {
            return null === $crop ? 'There is no such crop on the shelf.' : 'There is no such bed. Choose one of the wall.';
        }
        $plan = (new ByRhythm($this->book, $this->recipes))->plan($garden, $crop, self::method($crop, $change['method'] ?? ''), [$bed],
            $when,
            $when, 1, $long);

        return [] === $plan->plantings ? \sprintf('%s, %s, bed %s: %s.', $crop->name, $this->sayer->shortDay($when), $bed->name,
            $this->sayer->text(Message::of($plan->skipped[0]->why))) : new Replacement([], $plan->plantings,
                \sprintf('%s on bed %s, sown %s',
                    $crop->name, $bed->name, $this->sayer->shortDay($when)));
    }

    /**
     * As it would be somewhere, to ask where it may go; null: it is not its season anywhere.
     *
     * @param array<string, string> $asked item, when; and, where it is said: variety, method
     */
    public function somewhere(array $asked, Garden $garden, Day $when): ?Planting
    {
        $crop = $this->crop($asked);
        if (null === $crop) {
            return null;
        }
        $ways = new Candidates($garden, $this->recipes);
        $tried = [];
        foreach ($garden->bedsInUse() as $bed) {
            $tried[$bed->place->value] ??= $ways->sownOn($crop, $when, $bed->place, self::method($crop, $asked['method'] ?? '')) ?? false;
            if (false !== $tried[$bed->place->value]) {
                return $tried[$bed->place->value]->planting(PlantingKey::free($crop->item(), $when, $garden->plantings->byKey()),
                    [Stretch::of($bed->name, 0, intdiv($bed->length->micrometres, self::QUARTERS))], locked: true);
            }
        }

        return null;
    }

    /** @param array<string, string> $asked */
    private function crop(array $asked): ?Crop
    {
        $item = $asked['item'] ?? '';
        if (!$this->book->hasItem($item)) {
            return null;
        }
        $varieties = $this->book->varietiesOf($item);
        $named = array_values(array_filter($varieties, static fn (Crop $c): bool => $c->key === ($asked['variety'] ?? '')));

        return $named[0] ?? $varieties[0] ?? null;
    }

    private static function method(Crop $crop, string $named): Method
    {
        $method = Method::tryFrom($named);

        return null !== $method && \in_array($method, $crop->methods(), true) ? $method : $crop->methods()[0];
    }
}
