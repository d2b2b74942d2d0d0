<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Message\Code;

/** Why a change asked for by hand cannot be made. */
enum NotDone: string implements Code
{
    /** Values: bed, wanted. */
    case NothingFree = 'nothing-free';
    /** Values: bed, wanted, most. */
    case NoRoom = 'no-room';
    /** Values: bed. */
    case NoSuchBed = 'no-such-bed';
    /** Values: day. */
    case PlantedBeforeSown = 'planted-before-sown';
    /** Values: day. */
    case ClearedBeforeReady = 'cleared-before-ready';
    case NoLength = 'no-length';
    case NoSuchVariety = 'no-such-variety';
    /** Values: method. */
    case NotGrownSo = 'not-grown-so';
    case NoSuchRecipe = 'no-such-recipe';
    case SownAlready = 'sown-already';
    case InTheGroundAlready = 'in-the-ground-already';
    /** Values: length. */
    case PieceTooLong = 'piece-too-long';
    /** Values: standing, what. */
    case NotAsItStands = 'not-as-it-stands';
    case StillToCome = 'still-to-come';
    /** Values: day, standing. */
    case BeforeItBegan = 'before-it-began';
    /** Values: length. */
    case LongerThanItIs = 'longer-than-it-is';
    case NoUnits = 'no-units';
    case NoSign = 'no-sign';
    case NoSuchSign = 'no-such-sign';
}
