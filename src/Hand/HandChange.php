<?php

declare(strict_types=1);

namespace App\Hand;

use App\Change\Replacement;
use App\Shared\Entry;
use App\Wording\Sayer;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\ByHand;
use JollyFurrow\Hand\CannotBeDone;
use JollyFurrow\Hand\Otherwise;
use JollyFurrow\Measure\Units;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\RecipeBook;

/** Reads what a person wants changed of one planting and asks the core what that would be. */
final readonly class HandChange
{
    public const DO = ['move' => 'Move', 'length' => 'Longer or shorter', 'split' => 'Split', 'share' => 'Share the bed',
        'again' => 'Once more', 'variety' => 'Variety', 'method' => 'Sown or planted', 'recipe' => 'Bed preparation', 'lock' => 'Lock',
        'delete' => 'Delete'];

    private ByHand $byHand;
    private Otherwise $otherwise;

    public function __construct(private CropBook $book, private RecipeBook $recipes, private Sayer $sayer)
    {
        $this->byHand = new ByHand($book, $recipes);
        $this->otherwise = new Otherwise($book, $recipes);
    }

    /** Null when a field is not clear: its fault is in the entry. */
    public function read(Entry $entry, Garden $garden, Planting $planting, string $do): ?Replacement
    {
        try {
            return match ($do) {
                'move' => $this->move($entry, $garden, $planting),
                'length' => $this->length($entry, $garden, $planting),
                'split' => $this->split($entry, $garden, $planting),
                'share' => $this->share($entry, $garden, $planting),
                'again' => $this->again($entry, $garden, $planting),
                'variety' => $this->variety($garden, $planting, $entry->raw('variety')),
                'method' => $this->method($entry, $garden, $planting),
                'recipe' => $this->recipe($garden, $planting, $entry->raw('recipe')),
                'lock' => $this->changed($planting, $planting->but(locked: !$planting->locked), $planting->locked ? 'unlocked' : 'locked'),
                'delete' => new Replacement([$planting], [], \sprintf('%s deleted', $this->called($planting))),
                default => null,
            };
        } catch (CannotBeDone $not) {
            $entry->fault($not->field, $not->said());

            return null;
        }
    }

    /** What the day of a move means for a planting that has come so far. */
    public static function movableDay(Planting $planting): ?string
    {
        return match ($planting->standing) {
            Standing::Planned => 'sow',
            Standing::InNursery => 'ground',
            default => null,
        };
    }

    private function move(Entry $entry, Garden $garden, Planting $planting): ?Replacement
    {
        $movable = self::movableDay($planting);
        $when = null === $movable ? null : $entry->day('when');
        $until = '' === $entry->raw('until') ? null : $entry->day('until');
        $from = '' === $entry->raw('from') ? null : $entry->length('from', $garden->settings->units->longUnit(), 0, 500)->micrometres;
        if (!$entry->isGood()) {
            return null;
        }
        $moved = match (true) {
            null === $when => $planting,
            'sow' === $movable => $when->equals($planting->sow) ? $planting : $this->byHand->sowOn($garden, $planting, $when),
            default => $when->equals($planting->ground) ? $planting : $this->byHand->intoGroundOn($garden, $planting, $when),
        };
        $bed = '' === $entry->raw('bed') && null !== $from ? $planting->pieces[0]->bed : $entry->raw('bed');
        $to = $garden->bedsByName()[$bed] ?? null;
        $moved = null === $to ? $moved : $this->byHand->inThePlaceOf($garden, $moved, $to);
        if (null !== $until && !$until->equals($planting->clear)) {
            $moved = $this->byHand->until($moved, $until);
        }
        if ('' !== $bed) {
            $moved = $this->byHand->onto($garden, $moved, $bed, $from);
        }

        return $this->changed($planting, $moved, \sprintf('moved to bed %s, sown %s', $moved->pieces[0]->bed,
            $this->sayer->shortDay($moved->sow)));
    }

    private function length(Entry $entry, Garden $garden, Planting $planting): ?Replacement
    {
        $length = $entry->length('length', $garden->settings->units->longUnit(), 0.1, 500);
        if (!$entry->isGood()) {
            return null;
        }

        return $this->changed($planting, $this->byHand->asLongAs($planting, $length->micrometres),
            'made '.$this->sayer->long($length).' long');
    }

    private function split(Entry $entry, Garden $garden, Planting $planting): ?Replacement
    {
        $length = $entry->length('length', $garden->settings->units->longUnit(), 0.1, 500);

        return $entry->isGood() ? new Replacement([$planting], $this->byHand->split($garden, $planting, $length->micrometres),
            \sprintf('%s split, the first %s', $this->called($planting), $this->sayer->long($length))) : null;
    }

    private function share(Entry $entry, Garden $garden, Planting $planting): ?Replacement
    {
        $share = $entry->float('share', 5, 100);
        $gives = $entry->float('gives', 5, 150);

        return !$entry->isGood() ? null : $this->changed($planting, $this->byHand->sharing($garden, $planting, $share / 100, $gives / 100),
            \sprintf('has %s %% of the width and gives %s %% of its harvest', Units::number($share, 0), Units::number($gives, 0)));
    }

    private function again(Entry $entry, Garden $garden, Planting $planting): ?Replacement
    {
        $when = $entry->day('when');
        if (!$entry->isGood()) {
            return null;
        }
        if ($when->isBefore($garden->today)) {
            $entry->fault('when', 'This day has gone by. Write today or a later day; what is sown already goes into "In the ground".');

            return null;
        }
        $copy = $this->byHand->again($garden, $planting, $when, $entry->raw('bed'));

        return new Replacement([], [$copy], \sprintf('%s once more, sown %s on bed %s', $this->book->get($planting->item)->name,
            $this->sayer->shortDay($copy->sow), $copy->pieces[0]->bed));
    }

    private function variety(Garden $garden, Planting $planting, string $variety): Replacement
    {
        $new = $this->otherwise->asVariety($garden, $planting, $variety);

        return $this->changed($planting, $new, 'grown as '.$this->book->grown($new->item, $new->variety)->variety);
    }

    private function method(Entry $entry, Garden $garden, Planting $planting): ?Replacement
    {
        $method = $entry->choice('method', Method::class);

        return $entry->isGood() ? $this->changed($planting, $this->otherwise->byMethod($garden, $planting, $method),
            $this->sayer->word($method)) : null;
    }

    private function recipe(Garden $garden, Planting $planting, string $recipe): Replacement
    {
        return $this->changed($planting, $this->otherwise->prepared($garden, $planting, $recipe),
            'on a bed made ready by '.mb_strtolower($this->recipes->get($recipe)->name));
    }

    private function changed(Planting $old, Planting $new, string $how): Replacement
    {
        return new Replacement([$old], [$new], $this->called($old).' '.$how);
    }

    private function called(Planting $planting): string
    {
        return \sprintf('%s on bed %s (sown %s)', $this->book->get($planting->item)->name, $planting->pieces[0]->bed,
            $this->sayer->shortDay($planting->sow));
    }
}
