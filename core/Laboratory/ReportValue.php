<?php

declare(strict_types=1);

namespace JollyFurrow\Laboratory;

/** What a column of a laboratory's report holds. */
enum ReportValue: string
{
    case Sample = 'sample';
    case Date = 'date';
    case Depth = 'depth';
    case Ph = 'ph';
    case Buffer = 'buffer';
    case Organic = 'organic';
    case P = 'p';
    case K = 'k';
    case Ca = 'ca';
    case Mg = 'mg';
    case S = 's';
    case B = 'b';
    case Salt = 'salt';
    case Cec = 'cec';
    case Texture = 'texture';

    /** Headings that mean it, as a pattern over small letters; the first that fits counts. */
    public static function of(string $heading): ?self
    {
        $patterns = [
            'buffer' => '/buffer|bph|smp/', 'ph' => '/(^|\W)ph(\W|$)/', 'sample' => '/sample|^bed$|field|label|^id$|lab.?no|location|plot/',
            'date' => '/date|sampled|^day/', 'depth' => '/depth/', 'organic' => '/organic|o\.?m\.?(\W|$)|humus|loi/',
            'salt' => '/(^|\W)ec(\W|$)|salt|conductiv/', 'cec' => '/cec|exchange cap/', 'texture' => '/texture|soil type/',
            'p' => '/phosph|(^|\W)p(2o5)?(\W|$)/', 'k' => '/potas|(^|\W)k(2o)?(\W|$)/', 'ca' => '/calcium|(^|\W)ca(o)?(\W|$)/',
            'mg' => '/magnes|(^|\W)mg(o)?(\W|$)/', 's' => '/sulphur|sulfur|(^|\W)s(o4)?(\W|$)/', 'b' => '/boron|(^|\W)b(\W|$)/'];
        $bare = self::withoutUnits(mb_strtolower(trim($heading)));
        foreach ($patterns as $value => $pattern) {
            if (1 === preg_match($pattern, $bare)) {
                return self::from($value);
            }
        }

        return null;
    }

    /** "mg/kg" and "ds/m" are no magnesium and no sulphur. */
    private static function withoutUnits(string $heading): string
    {
        return trim((string) preg_replace('#mg\s*/?\s*(kg|l|100\s*g)(\s*-1)?|[dm]s\s*/\s*(m|cm)|meq?\s*/\s*100\s*g|cmol\S*#', ' ',
            $heading));
    }

    /** Its number means nothing without a unit. */
    public function wantsUnit(): bool
    {
        return \in_array($this, [self::P, self::K, self::Ca, self::Mg, self::S, self::B], true);
    }

    /** Nor without the way it was drawn out or measured. */
    public function wantsWay(): bool
    {
        return \in_array($this, [self::P, self::K, self::Salt], true);
    }
}
