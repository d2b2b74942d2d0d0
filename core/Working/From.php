<?php

declare(strict_types=1);

namespace JollyFurrow\Working;

/** Where in the garden a number comes from, or what an own model goes by. */
enum From: string
{
    case Settings = 'settings';
    case ThePlanting = 'the-planting';
    case TheBed = 'the-bed';
    case WorkingAbove = 'working-above';
    case LengthTimesWidth = 'length-times-width';
    case Spacing = 'spacing';
    case Covers = 'covers';
    case ThePlan = 'the-plan';
    case ByEye = 'by-eye';
    case WarmthAndLight = 'warmth-and-light';
    case CatalogueDays = 'catalogue-days';
    case GrowsEvenly = 'grows-evenly';
    case WeighedByThePlanner = 'weighed-by-the-planner';
    case JobKinds = 'job-kinds';
    case CoverWarmth = 'cover-warmth';
}
