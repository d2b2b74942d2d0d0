<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Working\From;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\Sum;
use JollyFurrow\Working\Working;

/** Rows and spots in a stretch of bed. */
final readonly class Spacing
{
    /** Bed width the book's number of rows is meant for: 75 cm. */
    public const STANDARD_WIDTH = 75 * Length::CENTIMETRE;
    /** Soil left free at each edge of a bed, 7.5 cm (common practice, no source). */
    public const EDGE = 75 * Length::MILLIMETRE;

    private function __construct(public int $rows, public int $spotsPerRow, public Length $rowGap, public Length $inRow,
        public Length $length)
    {
    }

    /** The book's rows in a bed of the standard width; as many at the same gap as fit in another. */
    public static function inBed(Stand $stand, Length $width, Length $length): self
    {
        return self::of(self::rowsOn($stand, $width), $stand->inRow, $length, Length::fromMicrometres(self::gap($stand)));
    }

    /** Rows a bed of that width holds; what stands in one row stays in one. */
    public static function rowsOn(Stand $stand, Length $width): int
    {
        $room = max(0, $width->micrometres - 2 * self::EDGE);

        return 1 === $stand->rows || self::STANDARD_WIDTH === $width->micrometres ? $stand->rows
            : max(1, intdiv($room, self::gap($stand)) + 1);
    }

    /** Micrometres between the rows of the standard bed. */
    private static function gap(Stand $stand): int
    {
        $usable = self::STANDARD_WIDTH - 2 * self::EDGE;

        return $stand->rows > 1 ? intdiv($usable, $stand->rows - 1) : $usable;
    }

    public static function of(int $rows, Length $inRow, Length $length, ?Length $rowGap = null): self
    {
        return new self($rows, intdiv($length->micrometres, max(1, $inRow->micrometres)), $rowGap ?? Length::fromMicrometres(0), $inRow,
            $length);
    }

    /** @return list<Length> how far each row lies from one edge of the bed, the outer ones alike; to set a rake, a line or a seeder by */
    public function rowsAcross(Length $width): array
    {
        $edge = intdiv($width->micrometres - $this->rowGap->micrometres * ($this->rows - 1), 2);

        return array_map(fn (int $row): Length => Length::fromMicrometres(max(0, $edge + $row * $this->rowGap->micrometres)),
            range(0, $this->rows - 1));
    }

    public function spots(): int
    {
        return $this->rows * $this->spotsPerRow;
    }

    public function working(Source $rows, Source $inRow): Working
    {
        return Working::of(Sum::Spots, $this->spots(), Unit::Spot, 'rows * floor(length / inRow + 0.0000001)',
            [
                Input::of('rows', $this->rows, Unit::Row, $rows),
                Input::of('length', $this->length->centimetres(), Unit::Centimetre, Source::garden(From::ThePlanting)),
                Input::of('inRow', $this->inRow->centimetres(), Unit::Centimetre, $inRow),
            ],
            Source::practice(),
        );
    }
}
