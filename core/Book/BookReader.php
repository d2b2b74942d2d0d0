<?php

declare(strict_types=1);

namespace JollyFurrow\Book;

use JollyFurrow\Crop\Container;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Feeding;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Crop\Produce;
use JollyFurrow\Crop\Rhythm;
use JollyFurrow\Crop\Stand;
use JollyFurrow\Crop\Timing;
use JollyFurrow\Growth\Emergence;
use JollyFurrow\Growth\Growth;
use JollyFurrow\Growth\LightResponse;
use JollyFurrow\Growth\TemperatureResponse;
use JollyFurrow\Measure\Length;
use JollyFurrow\Shelter\PlaceType;

/** Makes the crop book from its rows, one value a row. */
final readonly class BookReader
{
    /** What all varieties of one crop have in common, for they are sold as one. */
    private const COMMON = ['name', 'family', 'pattern', 'form', 'unit', 'stored', 'weekly_loss'];

    /**
     * @param iterable<array{crop: string, value: string, is: string, source: string, note: string}> $rows a later row of the same value takes the earlier one's place
     *
     * @throws BookFault
     */
    public function read(iterable $rows): CropBook
    {
        $byCrop = [];
        foreach ($rows as $row) {
            $byCrop[$row['crop']][$row['value']] = ['is' => $row['is'], 'source' => $row['source'], 'note' => $row['note']];
        }
        $crops = [];
        foreach ($byCrop as $key => $values) {
            $crops[] = $this->entry((string) $key, $values, $byCrop);
        }

        return CropBook::of($crops);
    }

    /**
     * A crop, or a further variety of one: what it does not say is as with that crop.
     *
     * @param array<string, array{is: string, source: string, note: string}>                $values
     * @param array<string, array<string, array{is: string, source: string, note: string}>> $byCrop
     */
    public function entry(string $key, array $values, array $byCrop): Crop
    {
        $of = trim($values['of']['is'] ?? '');
        if ('' === $of) {
            return $this->crop($key, new BookValues($key, $values), null);
        }
        if (!isset($byCrop[$of]) || '' !== trim($byCrop[$of]['of']['is'] ?? '')) {
            throw BookFault::wrong($key, 'of', $of, 'it is the key of a crop in the book that is no further variety itself');
        }
        foreach (self::COMMON as $common) {
            if (isset($values[$common]) && $values[$common]['is'] !== ($byCrop[$of][$common]['is'] ?? '')) {
                throw BookFault::wrong($key, $common, $values[$common]['is'], \sprintf('varieties of one crop share it, and with %s it is %s', $of, $byCrop[$of][$common]['is'] ?? 'not given'));
            }
        }

        return $this->crop($key, new BookValues($key, [...$byCrop[$of], ...$values]), $of);
    }

    private function crop(string $key, BookValues $values, ?string $of): Crop
    {
        self::mustHangTogether($key, $values);

        return new Crop(
            $key,
            $values->words('name', 60),
            $values->words('variety', 60),
            $values->words('family', 40),
            $values->choice('feeding', Feeding::class),
            $values->yes('frost_tender'),
            $values->choice('pattern', Pattern::class),
            $this->timing($values),
            $this->stand($values),
            $this->produce($values),
            $this->rhythm($values),
            $this->growth($values),
            $this->sowing($values),
            $values->has('recipe') ? $values->text('recipe') : '',
            $values->sources(),
            (new HabitsReader())->read($values),
            (new LimitsReader())->read($values),
            $of,
            array_filter(array_combine(BookColumns::NOTES, array_map(static fn (string $note): string => $values->has($note)
                ? $values->text($note) : '', BookColumns::NOTES)), static fn (string $note): bool => '' !== $note),
            $values->has('also') ? array_map(trim(...), explode(';', $values->words('also', 200))) : [],
            $this->planted($values),
        );
    }

    /** Values that each may stand, but not beside one another. */
    private static function mustHangTogether(string $key, BookValues $values): void
    {
        if (!$values->has('days_sown') && !$values->has('days_transplanted')) {
            throw BookFault::needs($key, 'days_sown', 'a crop is sown in the bed or planted out: give days_sown or days_transplanted');
        }
        if ($values->has('days_transplanted') && 0 === $values->int('nursery_days', 0, 120)) {
            throw BookFault::wrong($key, 'nursery_days', '0', 'a crop that is planted out has its days in the nursery');
        }
        if (!$values->has('ground_field') && !$values->has('ground_tunnel') && !$values->has('ground_heated')) {
            throw BookFault::needs($key, 'ground_field', 'a crop has a window for at least one place: ground_field, ground_tunnel or ground_heated');
        }
        if ('anchored' === $values->text('maturity') && !$values->has('harvest_window')) {
            throw BookFault::needs($key, 'harvest_window', 'an anchored crop has its harvest window, such as 06-03..07-01');
        }
    }

    private function timing(BookValues $values): Timing
    {
        return new Timing(
            $values->int('nursery_days', 0, 120),
            $values->optionalInt('days_sown', 15, 400),
            $values->optionalInt('days_transplanted', 15, 400),
            $values->int('spread_days', 0, 40),
            $values->int('hold_days', 0, 250),
        );
    }

    private function growth(BookValues $values): Growth
    {
        $least = $values->float('t_least', -5, 20);
        $best = $values->float('t_best', $least + 1, 40);

        $most = $values->float('t_most', $best + 1, 50);

        return new Growth(
            new TemperatureResponse($least, $best, $most),
            $values->float('t_reference', $least + 1, $best),
            new Emergence($values->table('emergence', 0.5, 400), $most),
            'anchored' === $values->oneOf('maturity', ['developing', 'anchored']),
            $values->has('planting_slope') ? $values->float('planting_slope', -7, 7) : 0.0,
            $values->optionalFloat('bulb_hours', 10, 18),
            $values->choice('light', LightResponse::class),
        );
    }

    private function stand(BookValues $values): Stand
    {
        return new Stand(
            $values->int('rows', 1, 20),
            Length::fromCentimetres($values->float('in_row_cm', 0.5, 300)),
            Length::fromCentimetres($values->float('depth_cm', 0, 30)),
            $values->int('seeds_per_spot', 1, 20),
            $values->int('plants_per_spot', 1, 12),
            $values->float('plants_per_seed_unit', 0.5, 5),
            $values->float('germination', 0.05, 1),
            $values->float('field_factor', 0.05, 1),
            $values->float('thousand_seed_g', 0.01, 1000000),
            $values->float('tray_loss', 0, 0.9),
            $values->int('cells_per_tray', 1, 600),
            $values->has('sow_cm') ? Length::fromCentimetres($values->float('sow_cm', 0.3, 300)) : null,
            $values->has('container') ? $values->choice('container', Container::class) : Container::Cells,
        );
    }

    /** As it stands when it is planted out of trays; null: as when it is sown. */
    private function planted(BookValues $values): ?Stand
    {
        if (!$values->has('spacing_planted')) {
            return null;
        }
        $school = $values->spacing('spacing_planted');

        return $this->stand($values)->standing($school->rows, $school->inRow, $values->optionalInt('seeds_per_cell', 1, 20)
            ?? $values->int('seeds_per_spot', 1, 20), $values->optionalInt('plants_per_cell', 1, 12) ?? $values->int('plants_per_spot',
                1, 12));
    }

    private function produce(BookValues $values): Produce
    {
        return new Produce(
            $values->words('form', 40),
            $values->words('unit', 20),
            $values->float('yield_per_m', 0.01, 1000),
            $values->float('packing_loss', 0, 0.9),
            $values->int('keeping_days', 0, 365),
            $values->float('weekly_loss', 0, 0.5),
            $values->yes('stored'),
        );
    }

    private function rhythm(BookValues $values): Rhythm
    {
        return new Rhythm(
            $values->optionalInt('cuts', 1, 12) ?? 1,
            $values->optionalInt('every_days', 1, 60) ?? 1,
            $values->has('later_share') ? $values->float('later_share', 0.05, 1.5) : 1.0,
            $values->optionalInt('picking_days', 1, 250) ?? 1,
            $values->optionalInt('ramp_days', 0, 60) ?? 0,
            $values->optionalInt('years_to_first', 0, 6) ?? 0,
            $values->window('harvest_window'),
            $values->ints('season_days', 1, 250),
        );
    }

    /** @return array<string, \JollyFurrow\Time\YearWindow> */
    private function sowing(BookValues $values): array
    {
        $windows = [];
        foreach (PlaceType::cases() as $place) {
            $window = $values->window('ground_'.$place->value);
            if (null !== $window) {
                $windows[$place->value] = $window;
            }
        }

        return $windows;
    }
}
