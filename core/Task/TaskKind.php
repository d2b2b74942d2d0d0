<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Planting\Happening;

/** What is to be done. */
enum TaskKind: string
{
    case Prepare = 'prepare';
    case ReadyStock = 'ready-stock';
    case SowTrays = 'sow-trays';
    case OffMat = 'off-mat';
    case CountTrays = 'count-trays';
    case ThinTrays = 'thin-trays';
    case PotOn = 'pot-on';
    /** Of a seedbed in the open. */
    case ShadeLess = 'shade-less';
    case ShadeOff = 'shade-off';
    case Harden = 'harden';
    case PlantOut = 'plant-out';
    case SowBed = 'sow-bed';
    /** Tubers, cloves, sets, slips, crowns straight into the bed. */
    case PlantStock = 'plant-stock';
    case CoverOn = 'cover-on';
    case CoverOff = 'cover-off';
    case LookUp = 'look-up';
    case CountStand = 'count-stand';
    case Weed = 'weed';
    case Care = 'care';
    case Feed = 'feed';
    case Lime = 'lime';
    /** By valve and week. */
    case Irrigate = 'irrigate';
    case LookReady = 'look-ready';
    case Pick = 'pick';
    /** All of it at once, for store. */
    case Lift = 'lift';
    /** What was lifted, before it is stored. */
    case Cure = 'cure';
    case LookStore = 'look-store';
    case Clear = 'clear';
    case Paths = 'paths';
    case Walk = 'walk';
    case Round = 'round';
    case Water = 'water';
    case Tonight = 'tonight';
    case Heat = 'heat';
    case AfterStorm = 'after-storm';
    case Yearly = 'yearly';
    case Own = 'own';

    /** What is noted of the planting when it is done; null: nothing but the tick. */
    public function happening(): ?Happening
    {
        return match ($this) {
            self::SowTrays, self::SowBed, self::PlantStock => Happening::Sown,
            self::PlantOut => Happening::Planted,
            self::LookUp => Happening::Emerged,
            self::Pick, self::Lift => Happening::Picked,
            self::Clear => Happening::Finished,
            default => null,
        };
    }

    /** It stays to be done while the planting waits for it, however late. */
    public function waitsForEver(): bool
    {
        return \in_array($this, [self::SowTrays, self::SowBed, self::PlantStock, self::PlantOut, self::Clear, self::Lift], true);
    }

    /** Of its own day only: the next day asks anew. */
    public function isOfTheDay(): bool
    {
        return \in_array($this, [self::Round, self::Water, self::Tonight, self::Heat], true);
    }

    /** One line a crop; else one line for all crops of a block. */
    public function isByCrop(): bool
    {
        return !\in_array($this, [self::Prepare, self::Weed, self::CoverOn, self::CoverOff, self::Clear, self::Tonight, self::LookUp,
            self::CountStand, self::LookReady, self::CountTrays, self::OffMat, self::Harden], true);
    }

    /** Done at the nursery, wherever it is planted out. */
    public function isInNursery(): bool
    {
        return \in_array($this, [self::SowTrays, self::OffMat, self::CountTrays, self::ThinTrays, self::PotOn, self::Harden,
            self::ReadyStock, self::ShadeLess, self::ShadeOff], true);
    }

    public function asksForACount(): bool
    {
        return \in_array($this, [self::CountTrays, self::CountStand, self::Walk], true);
    }
}
