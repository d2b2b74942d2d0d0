<?php

declare(strict_types=1);

namespace App\Job;

use JollyFurrow\Job\Job;
use JollyFurrow\Job\WorkWeek;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\TaskList;
use Sabre\VObject\Component\VCalendar;

/** Jobs as a calendar (RFC 5545): an entry a job on its day, named for good by its first task. */
final readonly class WeekCalendar
{
    private const WEEKS = 4;
    private const PRODUCT = '-//Jolly Furrow//This week//EN';

    public function __construct(private JobWords $words)
    {
    }

    /** @param int $now seconds since 1970, for the stamp */
    public function of(Site $site, string $gardenId, int $now): string
    {
        $calendar = new VCalendar(['PRODID' => self::PRODUCT, 'X-WR-CALNAME' => $site->garden->name]);
        $stamp = (new \DateTimeImmutable('@'.$now))->setTimezone(new \DateTimeZone('UTC'));
        for ($n = 0; $n < self::WEEKS; ++$n) {
            foreach (WorkWeek::of($site, TaskList::usual(), $site->garden->today->plus(7 * $n)->week())->open() as $job) {
                $this->add($calendar, $job, $site, $gardenId, $stamp);
            }
        }

        return $calendar->serialize();
    }

    private function add(VCalendar $calendar, Job $job, Site $site, string $gardenId, \DateTimeImmutable $stamp): void
    {
        $event = $calendar->createComponent('VEVENT', null, false);
        $event->add('UID', hash('xxh128', $job->first()->id->text()).'-'.$gardenId);
        $event->add('DTSTAMP', $stamp);
        $event->add('DTSTART', str_replace('-', '', $job->day->iso()), ['VALUE' => 'DATE']);
        $event->add('DTEND', str_replace('-', '', $job->day->plus(1)->iso()), ['VALUE' => 'DATE']);
        $event->add('SUMMARY', $this->words->whole($job, $site));
        $event->add('DESCRIPTION', implode("\n", [\sprintf('%.1f h, by %s', $job->hours(), $job->last()->iso()), ...$job->cautions()]));
        $event->add('TRANSP', 'TRANSPARENT');
        $calendar->add($event);
    }
}
