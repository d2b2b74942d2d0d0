<?php

declare(strict_types=1);

namespace JollyFurrow\WhatIf;

/** What a copy of a garden asks. */
enum QuestionKind: string
{
    case AsItIs = 'as-it-is';
    case MoreOf = 'more-of';
    case SecondMarket = 'second-market';
    case WithoutPlace = 'without-place';
}
