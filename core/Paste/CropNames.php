<?php

declare(strict_types=1);

namespace JollyFurrow\Paste;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Exception\Limits;

/** Finds the crops a word may mean: by key, name, variety, singular or plural, or a word of the name. */
final readonly class CropNames
{
    private const NEAR = 2;

    public function __construct(private CropBook $book)
    {
    }

    /** @return list<string> keys; one: that is it; several: to be asked; none: not in the book */
    public function meant(string $text): array
    {
        $plain = self::plain($text);
        if ('' === $plain || mb_strlen($plain) > Limits::CELL) {
            return [];
        }
        $exact = $part = [];
        foreach ($this->book->entries() as $crop) {
            $names = array_map(self::plain(...), $crop->isFurtherVariety() ? [$crop->key, $crop->variety,
                $crop->name.' '.$crop->variety, $crop->variety.' '.$crop->name] : [$crop->key, $crop->name, $crop->variety,
                    ...$crop->also]);
            if (\in_array($plain, $names, true)) {
                $exact[] = $crop->key;
            } elseif (!$crop->isFurtherVariety() && (1 === preg_match('/\b'.preg_quote($plain, '/').'\b/u', implode(' | ', $names))
                || 1 === preg_match('/\b'.preg_quote($names[1], '/').'\b/u', $plain))) {
                $part[] = $crop->key;
            }
        }

        return [] !== $exact ? $exact : $part;
    }

    /** @return list<string> names that look alike, for a message */
    public function near(string $text): array
    {
        $plain = self::plain($text);
        $near = [];
        foreach ($this->book->all() as $crop) {
            foreach (\strlen($plain) > 2 ? [$crop->name, ...$crop->also] : [] as $name) {
                if (levenshtein(substr($plain, 0, 60), self::plain($name)) <= self::NEAR) {
                    $near[$crop->key] = $crop->name;
                }
            }
        }

        return array_values($near);
    }

    private static function plain(string $text): string
    {
        $words = preg_split('/[^\p{L}\d]+/u', mb_strtolower(mb_scrub($text)), -1, \PREG_SPLIT_NO_EMPTY) ?: [];

        return implode(' ', array_map(static fn (string $word): string => preg_replace(['/(?<=[^aeiou])ies$/', '/(?<=o|ch|sh|ss)es$/',
            '/(?<=[^s])s$/'], ['y', '', ''], $word) ?? $word, $words));
    }
}
