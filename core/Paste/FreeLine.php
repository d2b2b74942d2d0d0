<?php

declare(strict_types=1);

namespace JollyFurrow\Paste;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;

/**
 * A line as one would say it, taken apart: "lettuce in A4 planted 3 May, half bed", "B2 radish 12.4. 10 m". What is left when
 * bed, day and length are taken out is the crop; nothing is dropped but little words, so what is not understood is asked.
 */
final readonly class FreeLine
{
    private const HOW = '(?:(?:direct(?:ly)?\s+)?(?:sown|seeded|sow)|transplanted|planted|set)'
        .'(?:\s+(?:out|on|in\s+(?:the\s+)?(?:trays?|nursery|modules?|plugs?)))*';
    private const MONTH = '(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*\.?';
    private const DATE = '\d{4}-\d{1,2}-\d{1,2}|'
        .'\d{1,2}[.\/-]\s?\d{1,2}(?:[.\/-]\s?(?:\d{4}|\d{2})?)?|\d{1,2}(?:st|nd|rd|th)?[ .-]*'.self::MONTH
        .'(?:,?\s+(?:\d{4})\b)?|'.self::MONTH.'\s+\d{1,2}(?:st|nd|rd|th)?\b(?:,?\s+\d{4}\b)?';
    private const WORD = '(?:(?:a\s+)?\b(?:half|third|three\s+quarters|quarter|whole|full)\b|[½¼¾⅓⅔]|\d{1,3}\s?%)';
    /** A fraction may be a day as well: 3/4. */
    private const SHARE = self::WORD.'|[123]\/[234]';
    private const OF_BED = '(?:\s+(?:of\s+)?(?:a\s+|the\s+)?beds?\b)?';
    private const LENGTH = '\d+(?:[.,]\d+)?\s?(?:m|metres?|meters?|ft|feet|foot|\')(?![a-z])(?:\s?\d+\s?(?:in|")?)?|\d{1,2}\s+beds?\b';
    private const NAME = '[A-Za-z]{1,3}[ -]?\d{1,3}[a-z]?';
    private const LITTLE = '(?:[\s,;:.()–-]|\b(?:in|on|at|of|the|bed|beds|plot|with|and)\b)+';

    private function __construct(public string $bed, public string $crop, public string $date, public string $length)
    {
    }

    public static function of(string $text, Garden $garden): self
    {
        $bed = self::bed($text, $garden);
        $length = self::taken('~(?<![\w/])(?:'.self::LENGTH.'|(?:'.self::SHARE
            .')(?=\s+(?:of\b|(?:a\s+|the\s+)?beds?\b))'.self::OF_BED.'|'.self::WORD
            .self::OF_BED.')~iu', $text);
        $trays = '' === self::taken('~(?<!sown )(?<!seeded )\bin\s+(?:the\s+)?trays\b~iu', $text) ? '' : 'sown in trays';
        $date = self::taken('~(?:'.self::HOW.'\s*:?\s*)?(?<![\w/.])(?:'.self::DATE.')(?![\w/])~iu', $text);
        $how = null === PastedDay::how($date) ? self::taken('~\b'.self::HOW.'\b~iu', $text) : '';
        $length = '' === $length ? self::taken('~(?<![\w/])(?:'.self::SHARE.')(?![\w/])~iu', $text) : $length;
        $text = (string) preg_replace(['/^'.self::LITTLE.'/iu', '/'.self::LITTLE.'$/iu'], '', $text);
        $crop = trim((string) preg_replace('/\s+/u', ' ', $text));

        return new self($bed, $crop, trim(('' === $trays ? $how : $trays).' '.$date), trim($length, ' ,;'));
    }

    /** @return list<string> cells in the order of COLUMNS */
    public function cells(): array
    {
        return [$this->bed, $this->crop, $this->date, $this->length];
    }

    /** @return list<Column> */
    public static function columns(): array
    {
        return [Column::Bed, Column::Crop, Column::Date, Column::Length];
    }

    /** A bed of the garden by its name, a run of them, or what looks like the name of one. */
    private static function bed(string &$text, Garden $garden): string
    {
        $names = array_map(static fn (Bed $bed): string => preg_quote($bed->name, '~'), $garden->beds);
        usort($names, static fn (string $a, string $b): int => \strlen($b) <=> \strlen($a));
        $one = [] === $names ? self::NAME : '(?:'.implode('|', $names).'|'.self::NAME.')';
        $run = $one.'(?:\s*(?:-|–|to)\s*(?:'.$one.'|\d{1,3})|(?:\s*(?:,|\+|&|and)\s*'.$one.')+)?';
        foreach (['~\b(?:beds?|plot)\s+('.$run.')(?![\w.])~iu', '~\b(?:in|on)\s+('.$run.')(?![\w.])~u',
            '~(?<![\w.])('.$run.')(?![\w.])~u'] as $pattern) {
            preg_match_all($pattern, $text, $found, \PREG_OFFSET_CAPTURE);
            foreach ($found[1] ?? [] as $i => [$bed]) {
                if (1 !== preg_match('/^'.self::MONTH.'\s?\d/iu', $bed)) {
                    [$all, $at] = $found[0][$i];
                    $text = substr_replace($text, ' ', $at, \strlen($all));

                    return trim($bed);
                }
            }
        }

        return '';
    }

    /** The first match, cut out of the text. */
    private static function taken(string $pattern, string &$text): string
    {
        if (1 !== preg_match($pattern, $text, $found, \PREG_OFFSET_CAPTURE)) {
            return '';
        }
        $text = substr_replace($text, ' ', $found[0][1], \strlen($found[0][0]));

        return trim($found[0][0]);
    }
}
