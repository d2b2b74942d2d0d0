<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

/** What feeds a crop beside what is spread for it. */
enum CreditKind: string
{
    case OrganicMatter = 'organic-matter';
    case GreenManure = 'green-manure';
    /** Compost, manure, meals spread before, this year and in years before. */
    case Spread = 'spread';
    /** Compost the preparation of the bed brings. */
    case Compost = 'compost';
    /** What the crop before did not use. */
    case Carried = 'carried';
}
