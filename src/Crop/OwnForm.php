<?php

declare(strict_types=1);

namespace App\Crop;

use App\Books\GardenBooks;
use App\Shared\Entry;
use JollyFurrow\Book\BookColumns;
use JollyFurrow\Book\BookSheet;
use JollyFurrow\Book\OwnValue;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\InvalidMonthDay;
use JollyFurrow\Time\YearWindow;
use Symfony\Component\String\Slugger\AsciiSlugger;

/** Reads the form of a crop's values into the garden's own values, the others left as they are. */
final readonly class OwnForm
{
    public const AS_VARIETY = 'variety';
    public const AS_CROP = 'crop';

    public function __construct(private GardenBooks $books, private RecipeBook $recipes)
    {
    }

    /**
     * @param list<OwnValue> $own  all there are
     * @param string         $from crop the form was filled from
     * @param string         $copy '' changes that crop itself; else what the copy is to be
     *
     * @return array{key: string, own: list<OwnValue>} all own values as they would be; faults go to the entry
     */
    public function read(Entry $entry, array $own, string $from, string $copy): array
    {
        $values = $this->books->values($own, $from);
        $shipped = $this->books->values([], $from);
        $of = match ($copy) {
            self::AS_VARIETY => $values['of']['is'] ?? $from,
            self::AS_CROP => '',
            default => $values['of']['is'] ?? '',
        };
        $key = '' === $copy ? $from : self::free($this->books->built($own)->entries(), $entry->raw('v-variety'), $entry->raw('v-name'));
        $base = '' === $copy ? ([] === $shipped ? ('' === $of ? [] : $this->books->values($own, $of)) : $shipped)
            : ('' === $of ? [] : $this->books->values($own, $of));
        $lines = [BookSheet::COLUMNS];
        $names = [];
        if ('' !== $of && ('' !== $copy || [] === $shipped)) {
            $lines[] = [$key, 'of', $of, '', ''];
            $names[] = 'of';
        }
        foreach (array_keys(BookColumns::all()) as $name) {
            $typed = \in_array($name, BookColumns::WINDOWS, true) ? self::window($entry->raw('v-'.$name)) : $entry->raw('v-'.$name);
            if ('of' !== $name && $typed !== ($base[$name]['is'] ?? '')) {
                $lines[] = [$key, $name, $typed, '', $entry->raw('why')];
                $names[] = $name;
            }
        }
        $others = array_values(array_filter($own, static fn (OwnValue $v): bool => $v->crop !== $key));
        if (1 === \count($lines)) {
            return ['key' => $key, 'own' => $others];
        }
        $sheet = BookSheet::read($lines, $this->books->rows($others), array_map(static fn (Recipe $r): string => $r->key,
            $this->recipes->all()));
        foreach ($sheet->faults as $fault) {
            $entry->fault('v-'.('' === $fault->value ? 'variety' : $fault->value), $fault->words);
        }

        return ['key' => $key, 'own' => [...$others, ...$sheet->values]];
    }

    /** As files have it; what is none stays as it was typed, to be told at the field. */
    private static function window(string $typed): string
    {
        try {
            return '' === $typed ? '' : YearWindow::parse($typed)->iso();
        } catch (InvalidMonthDay) {
            return $typed;
        }
    }

    /** @param list<Crop> $taken */
    private static function free(array $taken, string $variety, string $name): string
    {
        $slug = (new AsciiSlugger())->slug('' === $variety ? $name : $variety)->lower()->truncate(50)->toString();
        $keys = array_flip(array_map(static fn (Crop $c): string => $c->key, $taken));
        $key = 'own-'.trim($slug, '-');
        for ($n = 2; isset($keys[$key]); ++$n) {
            $key = 'own-'.trim($slug, '-').'-'.$n;
        }

        return $key;
    }
}
