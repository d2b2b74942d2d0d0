<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

use JollyFurrow\Measure\Length;

/** Ways to stand in a bed that growers compare: the book's, wide rows for the hoe, closer under cover, clusters. */
enum StandWay: string
{
    case Book = 'book';
    case Hoe = 'hoe';
    case UnderCover = 'cover';
    case Clusters = 'clusters';
    /** Plants raised together in one cell and left together. */
    private const CLUSTER = 4;

    /** Null where the crop is not grown like that. */
    public function of(Crop $crop, Method $method): ?Stand
    {
        $s = $crop->standFor($method);
        $school = self::Hoe === $this ? $crop->habits->hoe : $crop->habits->underCover;

        return match ($this) {
            self::Book => $s,
            self::Hoe, self::UnderCover => null === $school ? null : $s->standing($school->rows, $school->inRow, $s->seedsPerSpot,
                $s->plantsPerSpot),
            self::Clusters => 1 === $s->plantsPerSpot && \in_array($crop->habits->rotation, ['onion', 'root', 'leaf'], true)
                ? $s->standing($s->rows, Length::fromMicrometres(self::CLUSTER * $s->inRow->micrometres),
                    (int) ceil(self::CLUSTER / ($s->germination * $s->plantsPerSeedUnit)), self::CLUSTER) : null,
        };
    }

    /** Plants a metre as a multiple of the book's. */
    public function density(Crop $crop, Method $method): float
    {
        $plants = static fn (Stand $s): float => $s->rows * $s->plantsPerSpot / $s->inRow->metres();
        $stand = self::Book === $this ? null : $this->of($crop, $method);

        return null === $stand ? 1.0 : $plants($stand) / $plants($crop->standFor($method));
    }
}
