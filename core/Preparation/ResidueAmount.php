<?php

declare(strict_types=1);

namespace JollyFurrow\Preparation;

/** How much residue lies on a bed. */
enum ResidueAmount: string
{
    case Light = 'light';
    case Middling = 'middling';
    case Heavy = 'heavy';
}
