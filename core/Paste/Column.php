<?php

declare(strict_types=1);

namespace JollyFurrow\Paste;

/** What a column of a pasted list holds. */
enum Column: string
{
    case Bed = 'bed';
    case Crop = 'crop';
    case Date = 'date';
    case Sown = 'sown';
    case Planted = 'planted';
    case Trays = 'trays';
    case Length = 'length';
    case Nothing = 'nothing';

    private const HEADINGS = [
        'bed' => ['bed', 'beds', 'bed no', 'bed number', 'plot', 'where'],
        'crop' => ['crop', 'crops', 'vegetable', 'plant', 'what', 'culture', 'variety'],
        'sown' => ['sown', 'sowing', 'sowing date', 'sown on', 'seeded', 'date sown', 'direct sown', 'sow'],
        'planted' => ['planted', 'planting', 'planted on', 'planting date', 'date planted', 'transplanted', 'set out', 'planted out'],
        'trays' => ['sown in trays', 'trays', 'tray sowing', 'nursery'],
        'date' => ['date', 'when', 'day', 'start'],
        'length' => ['length', 'long', 'metres', 'meters', 'm', 'ft', 'feet', 'size', 'how much', 'share', 'bed length', 'part'],
    ];

    public function words(): string
    {
        return match ($this) {
            self::Bed => 'bed',
            self::Crop => 'crop',
            self::Date => 'date: sown or planted?',
            self::Sown => 'date sown in the bed',
            self::Planted => 'date planted out',
            self::Trays => 'date sown in trays',
            self::Length => 'length',
            self::Nothing => 'leave out',
        };
    }

    public function isDay(): bool
    {
        return \in_array($this, [self::Date, self::Sown, self::Planted, self::Trays], true);
    }

    public static function headed(string $heading): ?self
    {
        $plain = trim(mb_strtolower((string) preg_replace('/\s*[(\[].*$|[.:*]/u', '', $heading)));
        foreach (self::HEADINGS as $column => $headings) {
            if (\in_array($plain, $headings, true)) {
                return self::from($column);
            }
        }

        return null;
    }
}
