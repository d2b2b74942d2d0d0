<?php

declare(strict_types=1);

namespace App\Plan;

use App\Shared\Entry;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Exception\Quote;
use JollyFurrow\Garden\BlockRules;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Keeping;
use JollyFurrow\Garden\Lengths;
use JollyFurrow\Garden\NotHere;
use JollyFurrow\Garden\PlanRules;
use JollyFurrow\Garden\ReserveWay;
use JollyFurrow\Garden\RestingBed;
use JollyFurrow\Garden\SuccessionSchool;
use JollyFurrow\Garden\Weights;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Paths;
use JollyFurrow\Maturity\Odds;
use JollyFurrow\Measure\Units;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shelter\Bench;
use JollyFurrow\Shelter\Benches;
use JollyFurrow\Time\Period;

/** The form of rules and weights: filled from what holds, read with each fault at its field. Rows without a first cell are left out. */
final readonly class RulesForm
{
    /** Empty rows offered under those there are. */
    private const MORE = 2;
    private const LONGEST_CYCLE = 8;

    public function __construct(private Garden $garden, private CropBook $book, private RecipeBook $recipes)
    {
    }

    /** @return array<string, string> by field */
    public function filled(): array
    {
        $rules = $this->garden->settings->rules;
        $filled = ['school' => $rules->school->value, 'lengths' => $rules->lengths->value, 'full_trays' => $rules->fullTrays ? '1' : '',
            'odds' => $rules->odds->value, 'hollow' => (string) $rules->hollow, 'most_sowings' => (string) $rules->mostSowings,
            'reserve' => (string) round(100 * $rules->reserve, 1),
            'reserve_way' => $rules->reserveWay->value, 'reserve_beds' => implode(', ', $rules->reserveBeds),
            ...$this->shown('warm', $rules->benches->warm), ...$this->shown('cool', $rules->benches->cool)];
        foreach ($this->garden->blocks as $i => $name) {
            $block = $rules->block($name);
            $filled['recipe_'.$i] = $block->recipe;
            $filled['paths_'.$i] = $block->paths->value;
            $filled['families_'.$i] = implode(', ', $block->families);
        }
        $row = 0;
        foreach ($rules->resting as $bed => $rests) {
            foreach ($rests as $rest) {
                $filled['rest_bed_'.$row] = (string) $bed;
                $filled['rest_from_'.$row] = $rest->days->start->iso();
                $filled['rest_to_'.$row] = $rest->days->last()->iso();
                $filled['rest_why_'.$row++] = $rest->why;
            }
        }
        foreach ($rules->notHere as $n => $one) {
            $filled['off_what_'.$n] = $one->what;
            $filled['off_where_'.$n] = $one->where;
            $filled['off_why_'.$n] = $one->why;
        }
        foreach (array_keys($rules->methods + $rules->keeping) as $n => $item) {
            $filled['crop_'.$n] = (string) $item;
            $filled['method_'.$n] = ($rules->methods[$item] ?? null)->value ?? '';
            $filled['keeping_'.$n] = ($rules->keeping[$item] ?? Keeping::AsItPays)->value;
        }
        foreach ($rules->cycle as $n => $groups) {
            $filled['cycle_'.$n] = implode(', ', $groups);
        }
        foreach ($rules->weights->all() as $name => $cents) {
            $filled['weight_'.$name] = number_format($cents / 100, 2, '.', '');
        }

        return $filled;
    }

    /** @return array<string, list<int>> numbers of the rows shown, by kind */
    public function rows(Entry $entry): array
    {
        $filled = $this->filled();
        $count = static function (string $first) use ($filled, $entry): int {
            for ($n = 0; isset($filled[$first.$n]) || '' !== $entry->raw($first.$n); ++$n) {
            }

            return $n + self::MORE - 1;
        };

        return ['rest' => range(0, $count('rest_bed_')), 'off' => range(0, $count('off_what_')), 'crop' => range(0, $count('crop_')),
            'cycle' => range(0, min(self::LONGEST_CYCLE - 1, max(3, $count('cycle_'))))];
    }

    public function read(Entry $entry): PlanRules
    {
        [$methods, $keeping] = $this->crops($entry);

        return new PlanRules(
            $this->blocks($entry),
            $this->resting($entry),
            $this->beds($entry),
            $this->notHere($entry),
            $this->cycle($entry),
            $methods,
            $keeping,
            Weights::of(array_map(static fn (string $name): float => 100 * $entry->float('weight_'.$name, 0, 10000),
                array_combine(array_keys(Weights::WHY), array_keys(Weights::WHY)))),
            $entry->choice('school', SuccessionSchool::class),
            $entry->choice('lengths', Lengths::class),
            '' !== $entry->raw('full_trays'),
            $entry->float('reserve', 0, 100) / 100,
            $entry->choice('reserve_way', ReserveWay::class),
            $entry->int('most_sowings', 0, 31),
            $entry->choice('odds', Odds::class),
            new Benches($this->bench($entry, 'warm', $this->garden->settings->rules->benches->warm),
                $this->bench($entry, 'cool', $this->garden->settings->rules->benches->cool),
                $this->garden->settings->rules->benches->room),
            '' === $entry->raw('hollow') ? 0 : $entry->int('hollow', 0, PlanRules::DEEPEST_HOLLOW),
        );
    }

    /** As it is kept by night and by day; what comes back as it was shown stays exactly what it was. */
    private function bench(Entry $entry, string $which, Bench $now): Bench
    {
        $shown = $this->shown($which, $now);
        $kept = [];
        foreach (['night' => $now->night, 'day' => $now->day] as $when => $celsius) {
            $field = $which.'_'.$when;
            $kept[$when] = \in_array($entry->raw($field), ['', $shown[$field]], true) ? $celsius
                : $entry->temperature($field, $this->garden->settings->units, Bench::COLDEST, Bench::WARMEST)->celsius;
        }
        if ($kept['day'] < $kept['night']) {
            $entry->fault($which.'_day', 'By day a bench is at least as warm as by night.');
        }

        return new Bench($kept['night'], $kept['day']);
    }

    /** @return array<string, string> by field, in the garden's degrees */
    private function shown(string $which, Bench $bench): array
    {
        $isUs = Units::UsCustomary === $this->garden->settings->units;
        $text = static fn (float $celsius): string => Units::number($isUs ? 32 + 1.8 * $celsius : $celsius, 1).($isUs ? ' °F' : ' °C');

        return [$which.'_night' => $text($bench->night), $which.'_day' => $text($bench->day)];
    }

    /** @return list<string> groups of a rotation, as crops have them */
    public function groups(): array
    {
        $groups = array_unique(array_map(static fn (Crop $c): string => $c->habits->rotation, $this->book->sold()));
        sort($groups);

        return $groups;
    }

    /** @return list<string> */
    public function families(): array
    {
        $families = array_unique(array_map(static fn (Crop $c): string => $c->family, $this->book->sold()));
        sort($families);

        return $families;
    }

    /** @return array<string, BlockRules> */
    private function blocks(Entry $entry): array
    {
        $blocks = [];
        foreach ($this->garden->blocks as $i => $name) {
            $recipe = $entry->oneOf('recipe_'.$i, ['', ...array_map(static fn (Recipe $r): string => $r->key, $this->recipes->all())]);
            $block = new BlockRules($recipe, $entry->choice('paths_'.$i, Paths::class), $this->names($entry, 'families_'.$i,
                $this->families(), 'family'));
            if (!$block->isUsual()) {
                $blocks[$name] = $block;
            }
        }

        return $blocks;
    }

    /** @return array<string, list<RestingBed>> */
    private function resting(Entry $entry): array
    {
        $resting = [];
        foreach ($this->rows($entry)['rest'] as $n) {
            if ('' === $entry->raw('rest_bed_'.$n)) {
                continue;
            }
            $bed = $this->one($entry, 'rest_bed_'.$n, $this->bedNames(), 'bed');
            $from = $entry->day('rest_from_'.$n);
            $to = $entry->day('rest_to_'.$n);
            if ($to->isBefore($from)) {
                $entry->fault('rest_to_'.$n, 'It ends before it begins. Write a later day.');
                continue;
            }
            $resting[$bed][] = new RestingBed(Period::fromFirstToLast($from, $to), mb_substr($entry->raw('rest_why_'.$n), 0, 200));
        }

        return $resting;
    }

    /** @return list<string> */
    private function beds(Entry $entry): array
    {
        return $this->names($entry, 'reserve_beds', $this->bedNames(), 'bed');
    }

    /** @return list<NotHere> */
    private function notHere(Entry $entry): array
    {
        $off = [];
        foreach ($this->rows($entry)['off'] as $n) {
            if ('' !== $entry->raw('off_what_'.$n)) {
                $off[] = new NotHere($this->one($entry, 'off_what_'.$n, [...array_map(static fn (Crop $c): string => $c->key,
                    $this->book->entries()), ...$this->families()], 'crop or family'), $this->one($entry, 'off_where_'.$n,
                        [...$this->bedNames(), ...$this->garden->blocks], 'bed or block'), mb_substr($entry->raw('off_why_'.$n), 0, 200));
            }
        }

        return $off;
    }

    /** @return list<list<string>> */
    private function cycle(Entry $entry): array
    {
        $cycle = [];
        foreach (range(0, self::LONGEST_CYCLE - 1) as $n) {
            $groups = $this->names($entry, 'cycle_'.$n, $this->groups(), 'group');
            foreach ($groups as $group) {
                if ([] !== array_filter($cycle, static fn (array $before): bool => \in_array($group, $before, true))) {
                    $entry->fault('cycle_'.$n, \sprintf('%s stands in two years of the cycle; a group has one.', ucfirst($group)));
                }
            }
            if ([] !== $groups) {
                $cycle[] = $groups;
            }
        }
        if (1 === \count($cycle)) {
            $entry->fault('cycle_0', 'A cycle has at least two years. Leave it empty to go by the gap alone.');
        }

        return $cycle;
    }

    /** @return array{array<string, Method>, array<string, Keeping>} */
    private function crops(Entry $entry): array
    {
        $methods = $keeping = [];
        foreach ($this->rows($entry)['crop'] as $n) {
            if ('' === $entry->raw('crop_'.$n)) {
                continue;
            }
            $item = $this->one($entry, 'crop_'.$n, array_map(static fn (Crop $c): string => $c->item(), $this->book->sold()), 'crop');
            if (isset($methods[$item]) || isset($keeping[$item])) {
                $entry->fault('crop_'.$n, 'This crop stands above already; change it there.');
            }
            $how = $entry->raw('method_'.$n);
            if ('' !== $how) {
                $method = $entry->choice('method_'.$n, Method::class);
                if ($this->book->has($item) && !\in_array($method, $this->book->get($item)->methods(), true)) {
                    $entry->fault('method_'.$n, \sprintf('%s is not grown like that by the crop book.', $this->book->get($item)->name));
                }
                $methods[$item] = $method;
            }
            $keep = $entry->choice('keeping_'.$n, Keeping::class);
            if (Keeping::AsItPays !== $keep) {
                $keeping[$item] = $keep;
                if ($this->book->has($item) && !$this->book->get($item)->produce->stored) {
                    $entry->fault('keeping_'.$n, \sprintf('%s does not keep in store.', $this->book->get($item)->name));
                }
            }
        }

        return [$methods, $keeping];
    }

    /** @return list<string> */
    private function bedNames(): array
    {
        return array_map(static fn (Bed $bed): string => $bed->name, $this->garden->beds);
    }

    /**
     * Names with commas between.
     *
     * @param list<string> $known
     *
     * @return list<string> as they are known
     */
    private function names(Entry $entry, string $field, array $known, string $what): array
    {
        $names = [];
        foreach (preg_split('/\s*[,;]\s*/', $entry->raw($field), -1, \PREG_SPLIT_NO_EMPTY) ?: [] as $typed) {
            $names[] = self::known($typed, $known) ?? $this->strange($entry, $field, $typed, $known, $what);
        }

        return array_values(array_unique($names));
    }

    /** @param list<string> $known */
    private function one(Entry $entry, string $field, array $known, string $what): string
    {
        return self::known($entry->raw($field), $known) ?? $this->strange($entry, $field, $entry->raw($field), $known, $what);
    }

    /** @param list<string> $known */
    private static function known(string $typed, array $known): ?string
    {
        return array_values(array_filter($known, static fn (string $name): bool => mb_strtolower($name) === mb_strtolower($typed)))[0]
            ?? null;
    }

    /** @param list<string> $known */
    private function strange(Entry $entry, string $field, string $typed, array $known, string $what): string
    {
        usort($known, static fn (string $a, string $b): int => levenshtein(substr($typed, 0, 60), $a) <=> levenshtein(substr($typed, 0,
            60), $b));
        $entry->fault($field, \sprintf('There is no %s %s. Such as %s will do.', $what, Quote::of($typed),
            implode(', ', \array_slice($known, 0, 3))));

        return $typed;
    }
}
