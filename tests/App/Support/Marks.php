<?php

declare(strict_types=1);

namespace App\Tests\Support;

/**
 * What a page says in numbers, read as a machine would: the quantities and days it marks, and those it should have marked.
 * Conversions are written out here once more, from the definitions of the international foot, inch, pound and acre and the
 * US ton of 2,000 lb (from memory: international yard and pound agreement of 1959; NIST Handbook 44, appendix C).
 */
final readonly class Marks
{
    private const ACRE = 4046.8564224;
    private const POUND = 0.45359237;
    /** By kind and system: units with how many of the kind's own unit each is. */
    private const UNITS = [
        'length' => ['metric' => ['m' => 1.0, 'cm' => 0.01, 'mm' => 0.001], 'us' => ['ft' => 0.3048, 'in' => 0.0254]],
        'rain' => ['metric' => ['mm' => 1.0], 'us' => ['in' => 25.4]],
        'area' => ['metric' => ['m²' => 1.0], 'us' => ['sq ft' => 0.09290304]],
        'volume' => ['metric' => ['l' => 1.0], 'us' => ['cu ft' => 28.316846592]],
        'mass' => ['metric' => ['kg' => 1.0, 'g' => 0.001], 'us' => ['lb' => self::POUND, 'oz' => self::POUND / 16]],
        'mass-per-length' => ['metric' => ['kg/m' => 1.0, 'kg a metre' => 1.0], 'us' => ['lb/ft' => self::POUND / 0.3048,
            'lb a foot' => self::POUND / 0.3048]],
        'rate' => ['metric' => ['g/m²' => 1.0], 'us' => ['lb/1,000 sq ft' => self::POUND / 0.09290304]],
        'yield' => ['metric' => ['kg/ha' => 1.0], 'us' => ['lb/acre' => self::POUND * 10000 / self::ACRE]],
        'yield-by-height' => ['metric' => ['kg/ha a cm' => 1.0], 'us' => ['lb/acre an inch' => self::POUND * 10000 / self::ACRE / 2.54]],
        'work-rate' => ['metric' => ['h/100 m' => 1.0], 'us' => ['h/100 ft' => 1 / 0.3048]],
        'warmth' => ['metric' => ['°C' => 1.0], 'us' => ['°F' => 5 / 9]],
        'heat' => ['metric' => ['°C days' => 1.0], 'us' => ['°F days' => 5 / 9]],
        'temperature' => ['metric' => ['°C' => 1.0], 'us' => ['°F' => 5 / 9]],
        'money-per-length' => ['metric' => ['a metre of bed' => 1.0], 'us' => ['a foot of bed' => 1 / 0.3048]],
    ];
    private const METRIC = '~\d\s?(?:m|cm|mm|km|kg|g|l|t/ha|m²|m2|ha|°C|metres?|K)(?![\p{L}\d/²])|°C|\bmetres?\b~u';
    private const US = '~\d\s?(?:ft|in|lb|oz|sq ft|cu ft|°F|acres?)(?!\p{L})(?! (?:the|a|all|each|its|their|this|that|spring|summer|autumn|winter|\w+)\b)|°F|\b(?:feet|foot|inch|inches)\b~u';
    private const DAY = '~\b(?:\d{1,2} (?:Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)|(?:Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec) \d{1,2}\b(?!\d))|\b\d{4}-\d\d-\d\d\b~';

    private \DOMXPath $page;

    public function __construct(string $html, private string $units)
    {
        $document = new \DOMDocument();
        $document->loadHTML('<?xml encoding="UTF-8">'.$html, \LIBXML_NOERROR);
        $this->page = new \DOMXPath($document);
    }

    /** @return list<string> kind and value, in the order of the page */
    public function values(): array
    {
        return array_map(static fn (\DOMElement $e): string => 'time' === $e->tagName ? 'day '.$e->getAttribute('datetime')
            : $e->getAttribute('data-kind').' '.$e->getAttribute('value'), $this->marks('//data[@data-kind] | //time[@datetime]'));
    }

    /** @return list<string> marks whose number is not their value, within the rounding shown */
    public function wrong(): array
    {
        $wrong = [];
        foreach ($this->marks('//data[@data-kind]') as $mark) {
            $kind = $mark->getAttribute('data-kind');
            if (!isset(self::UNITS[$kind]) || $this->isShownAs($kind, (float) $mark->getAttribute('value'), $mark->textContent)) {
                continue;
            }
            $wrong[] = \sprintf('%s %s shown as %s', $kind, $mark->getAttribute('value'), $mark->textContent);
        }

        return $wrong;
    }

    /** @return list<string> texts, labels and field values with a unit of the other system */
    public function foreign(): array
    {
        $foreign = [];
        foreach ($this->nodes('//body//text()[not(ancestor::script or ancestor::select[@name="rain_in" or @name="temperature"])] | //@aria-label | //@title | //@alt | //@placeholder | //input[@type != "hidden"]/@value | //@data-points') as $node) {
            $text = (string) preg_replace('/"[^"]*" is outside/', '', $node->textContent);
            if (1 === preg_match('us' === $this->units ? self::METRIC : self::US, $text, $found) && !$this->isTyped($node)) {
                $foreign[] = trim($found[0]).' in '.mb_substr(trim($text), 0, 100);
            }
        }

        return $foreign;
    }

    /** @return list<string> quantities and days in running text without a mark; pictures, choices and fields cannot carry one */
    public function unmarked(): array
    {
        $unmarked = [];
        $texts = '//text()[not(ancestor::title or ancestor::data or ancestor::time or ancestor::svg or ancestor::option or ancestor::script or ancestor::textarea or ancestor::*[@class="fault"])]';
        foreach ($this->nodes($texts) as $node) {
            foreach (['metric' === $this->units ? self::METRIC : self::US, self::DAY] as $pattern) {
                if (1 === preg_match($pattern, $node->textContent, $found) && 1 === preg_match('/\d/', $found[0])) {
                    $unmarked[] = trim($found[0]).' in '.mb_substr(trim($node->textContent), 0, 100);
                }
            }
        }

        return $unmarked;
    }

    private function isShownAs(string $kind, float $value, string $text): bool
    {
        if (1 !== preg_match('/^([+−-]?)\s*(\d[\d ]*(?:\.(\d+))?)\s*(.*)$/u', trim($text), $m)) {
            return false;
        }
        $shown = (float) str_replace(' ', '', $m[2]) * (\in_array($m[1], ['−', '-'], true) ? -1 : 1);
        $half = 0.5001 * 10 ** -\strlen($m[3]);
        foreach (self::UNITS[$kind][$this->units] as $unit => $size) {
            if ('' !== $m[4] && !str_starts_with($m[4], $unit)) {
                continue;
            }
            $offset = 'temperature' === $kind && 'us' === $this->units ? 32.0 : 0.0;
            $exact = $value / $size + $offset;
            if (abs($shown - $exact) <= $half + 1e-6 * abs($exact)) {
                return true;
            }
        }

        return false;
    }

    /** What was typed into a field that was refused comes back as it was typed. */
    private function isTyped(\DOMNode $node): bool
    {
        return $node instanceof \DOMAttr && ($node->ownerElement?->hasAttribute('aria-invalid') ?? false);
    }

    /** @return list<\DOMElement> */
    private function marks(string $path): array
    {
        return array_values(array_filter($this->nodes($path), static fn (\DOMNode $node): bool => $node instanceof \DOMElement));
    }

    /** @return list<\DOMNode> */
    private function nodes(string $path): array
    {
        $found = $this->page->query($path);

        return false === $found ? [] : array_values(array_filter(iterator_to_array($found), static fn (object $node): bool => $node instanceof \DOMNode));
    }
}
