<?php

declare(strict_types=1);

namespace App\Record;

use App\Change\Replacement;
use App\Shared\Entry;
use App\Wording\Sayer;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\Noted;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Maturity\Sign;
use JollyFurrow\Measure\Units;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;

/** Reads a note from the bed and says what comes of it. */
final readonly class NoteForm
{
    /** Rough shares, in words. */
    public const SHARES = ['1' => 'all', '0.75' => 'three quarters', '0.5' => 'half', '0.25' => 'a quarter', '0' => 'nothing'];

    public function __construct(private CropBook $book, private RecipeBook $recipes, private Sayer $sayer)
    {
    }

    public function read(Entry $entry, Garden $garden, Planting $planting): ?FieldNote
    {
        $what = $entry->choice('what', Happening::class);
        $day = '' === $entry->raw('day') ? $garden->today : $entry->day('day');
        $length = '' === $entry->raw('length') ? null : $entry->length('length', $garden->settings->units->longUnit(), 0.1, 500);
        $share = '' === $entry->raw('share') ? null : (float) $entry->oneOf('share', array_map(strval(...), array_keys(self::SHARES)));
        $isByWeight = $this->book->grown($planting->item, $planting->variety)->produce->isByWeight();
        $units = '' === $entry->raw('units') ? null : ($isByWeight ? $entry->mass('units', $garden->settings->units,
            100_000_000)->grams / 100
            : $entry->float('units', 0, 1_000_000));
        $words = $entry->raw('words');
        if (mb_strlen($words) > 400 || !mb_check_encoding($words, 'UTF-8')) {
            $entry->fault('words', 'At most 400 characters fit here.');
        }

        if (!\in_array($entry->raw('at'), ['', ...self::beds($planting)], true)) {
            $entry->fault('at', 'It does not lie on that bed. Choose one of the list.');
        }
        $sign = Happening::Seen === $what || (Happening::Sampled === $what && '' !== $entry->raw('sign'))
            ? $entry->choice('sign', Sign::class) : null;

        return $entry->isGood() ? new FieldNote($planting->key, $what, $day, $length, $share, $units, $words, $sign) : null;
    }

    public function replacement(Entry $entry, Garden $garden, Planting $planting, FieldNote $note): Replacement
    {
        $noted = Noted::of($garden, $planting, $note, $this->book, $this->recipes, $entry->raw('bed'), 'dropped' !== $entry->raw('rest'),
            $entry->raw('at'));
        $words = $this->words($planting, $note, $noted->plantings).match (\count($noted->later)) {
            0 => '', 1 => '; the planting after it comes later',
            default => \sprintf('; %d plantings after it come later', \count($noted->later)),
        };

        return new Replacement($noted->before($garden, $planting), $noted->after(), $words, [$note]);
    }

    /** @param non-empty-list<Planting> $after */
    private function words(Planting $planting, FieldNote $note, array $after): string
    {
        $produce = $this->book->grown($planting->item, $planting->variety)->produce;
        $how = array_filter([
            Happening::Sampled === $note->what && null !== $note->length ? $this->sayer->long($note->length).' gave' : '',
            $after[0]->length()->equals($planting->length()) ? ''
                : $this->sayer->long($after[0]->length()).' of '.$this->sayer->long($planting->length()),
            null === $note->units ? '' : $this->sayer->goods($produce->goods($note->units)),
            null === $note->share ? '' : match ($note->what) {
                Happening::Picked => self::SHARES[Units::number($note->share, 2)].' left',
                Happening::Lost => self::SHARES[Units::number($note->share, 2)].' lost',
                default => self::SHARES[Units::number($note->share, 2)],
            },
            null === $note->sign ? '' : $this->sayer->word($note->sign),
            $note->words,
        ], static fn (string $part): bool => '' !== $part);

        return \sprintf('%s on bed %s %s, %s%s', $this->book->grown($planting->item, $planting->variety)->name,
            implode(', ', self::beds($after[0])), $this->sayer->word($note->what), $this->sayer->shortDay($note->day), [] === $how ? ''
            : ': '.implode(', ', $how));
    }

    /** @return list<string> names of the beds it lies on, in its own order */
    public static function beds(Planting $planting): array
    {
        return array_values(array_unique(array_map(static fn (Stretch $s): string => $s->bed, $planting->pieces)));
    }
}
