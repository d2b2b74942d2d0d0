<?php

declare(strict_types=1);

namespace JollyFurrow\Recipe;

/** Tools a step may name, alone or joined by "and"; and what is said of those that can hurt. */
final class Tools
{
    private const KNOWN = ['hands', 'hoe', 'wire hoe', 'rake', 'barrow', 'spade', 'fork', 'broadfork', 'sickle', 'mower', 'tarp',
        'shallow tiller', 'strip tiller', 'power harrow', 'plough', 'disc', 'ridger', 'roller', 'flamer', 'watering can', 'dibber',
        'mallet'];
    private const DRIVEN = ['mower', 'shallow tiller', 'strip tiller', 'power harrow', 'plough', 'disc', 'ridger'];

    /** @return list<string> those of a step's tools that nobody knows */
    public static function unknown(string $tools): array
    {
        return array_values(array_diff(self::each($tools), self::KNOWN));
    }

    /** @return list<string> */
    public static function known(): array
    {
        return self::KNOWN;
    }

    /** The usual caution for a step with these tools; empty: none. */
    public static function caution(string $tools): string
    {
        $each = self::each($tools);

        return match (true) {
            \in_array('flamer', $each, true) => 'Flame: water at hand, nothing dry near, no wind, gas bottle upright; mind fire bans.',
            [] !== array_intersect($each, self::DRIVEN) => 'Driven tools: guards on, engine off before clearing a blockage.',
            \in_array('tarp', $each, true) => 'Lift tarps with two people; wet ones are heavy.',
            \in_array('broadfork', $each, true) => 'Lift with the legs, change sides.',
            default => '',
        };
    }

    /** @return list<string> */
    private static function each(string $tools): array
    {
        return array_map(trim(...), preg_split('/\s+and\s+|,/', $tools) ?: [$tools]);
    }
}
