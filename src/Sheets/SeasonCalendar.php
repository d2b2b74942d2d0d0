<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Wording\Sayer;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;
use Sabre\VObject\Component\VCalendar;

/** The days of all plantings still to come as a calendar (RFC 5545): sown, planted out, ready, bed free. */
final readonly class SeasonCalendar
{
    private const PRODUCT = '-//Jolly Furrow//Season//EN';

    public function __construct(private CropBook $book, private Sayer $sayer)
    {
    }

    /** @param int $now seconds since 1970, for the stamp */
    public function of(Garden $garden, string $gardenId, int $now): string
    {
        $calendar = new VCalendar(['PRODID' => self::PRODUCT, 'X-WR-CALNAME' => $garden->name]);
        $stamp = (new \DateTimeImmutable('@'.$now))->setTimezone(new \DateTimeZone('UTC'));
        foreach ($garden->plantings as $planting) {
            foreach (self::days($planting) as $what => $day) {
                if ($day->isBefore($garden->today)) {
                    continue;
                }
                $event = $calendar->createComponent('VEVENT', null, false);
                $event->add('UID', hash('xxh128', $planting->key.$what).'-'.$gardenId);
                $event->add('DTSTAMP', $stamp);
                $event->add('DTSTART', str_replace('-', '', $day->iso()), ['VALUE' => 'DATE']);
                $event->add('DTEND', str_replace('-', '', $day->plus(1)->iso()), ['VALUE' => 'DATE']);
                $event->add('SUMMARY', \sprintf('%s: %s, bed %s, %s', $what, $this->book->grown($planting->item, $planting->variety)->name,
                    implode(' + ', array_unique(array_column($planting->pieces, 'bed'))), $this->sayer->long($planting->length())));
                $event->add('TRANSP', 'TRANSPARENT');
                $calendar->add($event);
            }
        }

        return $calendar->serialize();
    }

    /** @return array<string, Day> */
    private static function days(Planting $planting): array
    {
        return ($planting->sow->equals($planting->ground) ? ['Sow' => $planting->sow] : ['Sow in trays' => $planting->sow,
            'Plant out' => $planting->ground]) + ['Ready' => $planting->ready, 'Bed free' => $planting->clear->plus(1)];
    }
}
