<?php

declare(strict_types=1);

namespace App\Wall;

/** How a family is told apart on the wall: a colour class, and a glyph for black and white. */
enum Family: string
{
    case Daisy = 'Daisy';
    case Goosefoot = 'Goosefoot';
    case Cabbage = 'Cabbage';
    case Parsley = 'Parsley';
    case Onion = 'Onion';
    case Nightshade = 'Nightshade';
    case Cucurbit = 'Cucurbit';
    case Legume = 'Legume';
    case Grass = 'Grass';
    case Mint = 'Mint';
    case Asparagus = 'Asparagus';
    case Knotweed = 'Knotweed';
    case Rose = 'Rose';
    case Bindweed = 'Bindweed';
    case Honeysuckle = 'Honeysuckle';
    case Borage = 'Borage';
    case Mallow = 'Mallow';
    case Ginger = 'Ginger';

    public static function css(string $family): string
    {
        return 'fam-'.strtolower(self::tryFrom($family)->name ?? 'other');
    }

    public static function glyph(string $family): string
    {
        return match (self::tryFrom($family)) {
            self::Daisy => '✿',
            self::Goosefoot => '◆',
            self::Cabbage => '●',
            self::Parsley => '▼',
            self::Onion => '○',
            self::Nightshade => '★',
            self::Cucurbit => '■',
            self::Legume => '◗',
            self::Grass => '▮',
            self::Mint => '✚',
            self::Asparagus => '▲',
            self::Knotweed => '◇',
            self::Rose => '♥',
            self::Bindweed => '◐',
            self::Honeysuckle => '❖',
            self::Borage => '✦',
            self::Mallow => '✽',
            self::Ginger => '☘',
            null => '·',
        };
    }
}
