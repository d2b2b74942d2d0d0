<?php

declare(strict_types=1);

namespace JollyFurrow\Paste;

use JollyFurrow\Beds\Ground;
use JollyFurrow\Beds\Stay;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Stock;
use JollyFurrow\Exception\BadInput;
use JollyFurrow\Exception\Quote;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\BedName;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Message\Message;
use JollyFurrow\Message\Refusal;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\PlantingKey;
use JollyFurrow\Planting\Remark;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use JollyFurrow\Ways\Candidates;

/**
 * Makes plantings of what stands in the ground out of rows of cells: bed, crop, date, length. No promise is needed.
 * Each takes the first free stretch of its bed; a row that cannot be read says why, cell by cell.
 */
final class StandingReader
{
    /** What went into the ground longer ago than this is surely a mistyped year. */
    private const LONGEST_YEARS = 15;
    private const GUESSES = 3;
    private readonly CropNames $names;

    public function __construct(private readonly CropBook $book, private readonly RecipeBook $recipes)
    {
        $this->names = new CropNames($book);
    }

    /**
     * @param array<int, array<string, string>> $rows     cells by column; numbered from nought
     * @param bool                              $dayFirst how 3/4 is read
     *
     * @return array<int, StandingRow> under the same numbers
     */
    public function read(array $rows, Garden $garden, bool $dayFirst): array
    {
        $read = [];
        $seen = [];
        foreach ($rows as $i => $cells) {
            $same = mb_strtolower(implode('|', array_map(trim(...), $cells)));
            $row = $this->row($cells, $garden, $dayFirst);
            if (isset($seen[$same])) {
                $row = new StandingRow(null, [...$row->faults,
                    'bed' => \sprintf('The same as row %d. Leave one of them out, or change it.', $seen[$same])], $row->crops);
            }
            $seen[$same] ??= $i + 1;
            if (null !== $row->planting) {
                $garden = $garden->with([...$garden->plantings, $row->planting]);
            }
            $read[$i] = $row;
        }

        return $read;
    }

    /** @param array<string, string> $cells */
    private function row(array $cells, Garden $garden, bool $dayFirst): StandingRow
    {
        $faults = [];
        $bed = $garden->bedsByName()[$cells['bed'] ?? ''] ?? null;
        if (null === $bed) {
            $name = $cells['bed'] ?? '';
            $faults['bed'] = '' === $name ? 'Which bed?' : (BedName::fault($name) ?? \sprintf('There is no bed %s. %s', Quote::of($name),
                self::someBeds($garden)));
        }
        $meant = $this->names->meant($cells['crop'] ?? '');
        if (1 !== \count($meant)) {
            $faults['crop'] = $this->whichCrop($cells['crop'] ?? '', $meant);
        }
        $crop = 1 === \count($meant) ? $this->book->get($meant[0]) : null;
        [$day, $column] = $this->day($cells, $garden, $dayFirst, $faults);
        $length = null === $bed ? null : $this->length($cells['length'] ?? '', $bed, $garden, $faults);
        if (null === $crop || null === $bed || null === $day || null === $length || null === $column) {
            return new StandingRow(null, $faults, $meant, guesses: 1 === \count($meant) ? [] : $this->guesses($cells['crop'] ?? '',
                $meant));
        }
        [$taken, $word] = self::taken($crop, $column);
        $planting = $this->planting($crop, $bed, $day, $taken, $length, $garden, $faults);

        return new StandingRow($planting, $faults, $meant, $word);
    }

    /** @param array<string, string|Message> $faults */
    private function length(string $text, Bed $bed, Garden $garden, array &$faults): ?Length
    {
        if (1 === preg_match('/^\s*([2-9]|[1-9]\d+)\s*beds\b/i', $text)) {
            $faults['length'] = 'So many beds do not follow it in its block. Write a row for each bed.';

            return null;
        }
        if (1 === preg_match('/ for \d+ beds$/', $text)) {
            $faults['length'] = 'On each of them, or on all together? Write what stands on this one.';

            return null;
        }

        return $this->parsed('length', $faults, static fn (): Length => PastedLength::parse($text, $bed->length,
            $garden->settings->units->longUnit()));
    }

    /**
     * What the word may well mean, the likeliest first.
     *
     * @param list<string> $meant
     *
     * @return list<string> names
     */
    private function guesses(string $text, array $meant): array
    {
        $names = [] === $meant ? $this->names->near($text) : array_map(fn (string $key): string => $this->book->get($key)->name, $meant);

        return \array_slice(array_values(array_unique($names)), 0, self::GUESSES);
    }

    /**
     * @param array<string, string>         $cells
     * @param array<string, string|Message> $faults
     *
     * @return array{Day|null, Column|null}
     */
    private function day(array $cells, Garden $garden, bool $dayFirst, array &$faults): array
    {
        foreach ([Column::Planted, Column::Sown, Column::Trays, Column::Date] as $column) {
            $text = trim($cells[$column->value] ?? '');
            if ('' === $text) {
                continue;
            }
            $day = $this->parsed($column->value, $faults, static fn (): Day => PastedDay::parse($text, $garden->today, $dayFirst));
            if (null !== $day && abs($day->since($garden->today)) > 365 * self::LONGEST_YEARS) {
                $faults[$column->value] = \sprintf('%s is too far from today. Is the year right?', $day->iso());
                $day = null;
            }

            return [$day, PastedDay::how($text) ?? $column];
        }
        $first = array_values(array_filter([Column::Sown, Column::Planted, Column::Trays, Column::Date],
            static fn (Column $c): bool => isset($cells[$c->value])))[0] ?? Column::Date;
        $faults[$first->value] = 'When was it sown or planted?';

        return [null, null];
    }

    /**
     * The way into the ground that the book has for the crop: garlic that was planted goes in like seed, on that day; a
     * tomato that was sown was sown in trays. Only where another way is taken than was written is a word said; cloves,
     * tubers and crowns are planted and nobody would call it otherwise.
     *
     * @return array{Column, TakenAs|null}
     */
    private static function taken(Crop $crop, Column $column): array
    {
        $isSown = null !== $crop->timing->daysFor(Method::Sown);
        $isTransplanted = null !== $crop->timing->daysFor(Method::Transplanted);

        return match (true) {
            Column::Planted === $column && $isSown && !$crop->habits->stock->isSeed() => [Column::Sown, null],
            \in_array($column, [Column::Planted, Column::Trays], true) && !$isTransplanted => [Column::Sown, Column::Planted === $column
                && Stock::Seed !== $crop->habits->stock ? null : TakenAs::SownInTheBed],
            Column::Sown === $column && !$isSown => [Column::Trays, TakenAs::SownInTrays],
            default => [$column, null],
        };
    }

    /** @param array<string, string|Message> $faults */
    private function planting(Crop $crop, Bed $bed, Day $day, Column $column, Length $length, Garden $garden, array &$faults): ?Planting
    {
        $method = match ($column) {
            Column::Sown => Method::Sown,
            Column::Planted, Column::Trays => Method::Transplanted,
            default => null === $crop->timing->daysSown ? Method::Transplanted : Method::Sown,
        };
        $sow = Method::Transplanted === $method && Column::Trays !== $column ? $day->plus(-$crop->timing->nurseryDays) : $day;
        $planted = Column::Trays === $column ? (new Candidates($garden, $this->recipes))->outOfTheNursery($crop, $day, $bed->place)
            ?? $day->plus($crop->timing->nurseryDays) : $day;
        $grown = (new Candidates($garden, $this->recipes))->inTheGround($crop, $sow, $planted, $bed->place, $method,
            width: $bed->width);
        $frosted = $grown->lastField < $grown->ready;
        $clear = Day::of(max($grown->ready, $grown->lastField));
        $standing = self::standing($sow, $planted, $garden->today);
        if ($clear->isBefore($garden->today) && Standing::Growing === $standing) {
            $clear = $garden->today;
        }
        $stay = Period::fromFirstToLast(Day::of(Standing::Planned === $standing ? $grown->bedStart : $planted->number), $clear);
        $ground = Ground::under($garden, $this->book, $garden->plantings);
        $stretch = $ground->first($bed, $stay->start->number, $stay->last()->number, $length->micrometres);
        if (null === $stretch) {
            $faults['length'] = self::noRoom($garden, $ground, $bed, $stay, $length);

            return null;
        }
        $planting = new Planting(
            PlantingKey::free($crop->item(), $sow, $garden->plantings->byKey()), $crop->item(), $method, $bed->place, $grown->recipe,
            $sow, $planted, $stay->start, Day::of($grown->ready), $clear,
            $grown->perMetre, [$stretch], $standing, true, $frosted ? [Message::of(Remark::FrostEndsIt)] : [], $frosted ? 0.0 : 1.0,
            variety: $crop->key, harvest: $grown->harvest(),
        );
        $kept = Standing::Growing === $standing ? [] : $ground->against($bed, Stay::ofPlanting($crop, $planting));
        if ([] !== $kept) {
            $faults['bed'] = \sprintf('%s is kept off bed %s at that time by a rule of this garden. Choose another bed, or change the rule.', $crop->name, $bed->name);

            return null;
        }

        return $planting;
    }

    private static function standing(Day $sow, Day $ground, Day $today): Standing
    {
        return match (true) {
            !$today->isBefore($ground) => Standing::Growing,
            !$today->isBefore($sow) => Standing::InNursery,
            default => Standing::Planned,
        };
    }

    private static function noRoom(Garden $garden, Ground $ground, Bed $bed, Period $stay, Length $wanted): string
    {
        $units = $garden->settings->units;
        $free = array_map($units->long(...), $ground->freeLengths($bed, $stay->start->number, $stay->last()->number));

        return \sprintf('%s do not fit on bed %s: %s.', $units->long($wanted), $bed->name, [] === $free ? 'it is full in that time'
            : 'free in that time are '.implode(' and ', $free));
    }

    /** @param list<string> $meant */
    private function whichCrop(string $text, array $meant): string
    {
        if ([] !== $meant) {
            return \sprintf('Which one: %s?', implode(' or ', array_map(fn (string $key): string => $this->book->get($key)->name,
                \array_slice($meant, 0, 6))));
        }
        $near = $this->names->near($text);

        return '' === $text ? 'Which crop?' : \sprintf('%s is not in the crop book. %s', Quote::of($text), [] === $near
            ? 'Choose one of the list.' : 'Is it '.implode(' or ', $near).'?');
    }

    private static function someBeds(Garden $garden): string
    {
        $names = array_map(static fn (Bed $b): string => $b->name, $garden->beds);

        return [] === $names ? 'Say below how long the beds are, and they are made.' : \sprintf('The beds are %s%s.',
            implode(', ', \array_slice($names, 0, 6)), \count($names) > 6 ? ' ... '.end($names) : '');
    }

    /**
     * @template T
     *
     * @param array<string, string|Message> $faults
     * @param callable(): T                 $parse
     *
     * @return T|null
     */
    private function parsed(string $column, array &$faults, callable $parse): mixed
    {
        try {
            return $parse();
        } catch (BadInput $bad) {
            $faults[$column] = $bad instanceof Refusal ? $bad->said() : $bad->getMessage();

            return null;
        }
    }
}
