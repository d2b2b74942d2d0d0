<?php

declare(strict_types=1);

namespace JollyFurrow\Soil;

/** How a grower goes about feeding. */
enum FeedSchool: string
{
    case ByTest = 'by-test';
    /** The same minerals on every bed, whatever grows. */
    case StandingDose = 'standing-dose';
    /** Only where what stood before took much. */
    case WhereLittleIsLeft = 'where-little-is-left';
    /** Nothing in the year after a green manure; by test else. */
    case ByRotation = 'by-rotation';
    /** Compost carries it all. */
    case InCompost = 'in-compost';
}
