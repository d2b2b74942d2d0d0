<?php

declare(strict_types=1);

namespace JollyFurrow\Measure;

use JollyFurrow\Message\Code;

/** What is wrong with a measure somebody typed. */
enum BadMeasure: string implements Code
{
    /** Values: text; long, short: examples. */
    case NotALength = 'not-a-length';
    /** Values: unit. */
    case UnknownUnit = 'unknown-unit';
    /** Values: text, least, most. */
    case Outside = 'outside';
    /** Values: length, most. */
    case NoSuchLength = 'no-such-length';
    /** Values: text. */
    case NotMoney = 'not-money';
    /** Values: text; warm, cold: examples. */
    case NotATemperature = 'not-a-temperature';
    /** Values: text. */
    case NotAShare = 'not-a-share';
    /** Values: text. */
    case NotAMass = 'not-a-mass';
}
