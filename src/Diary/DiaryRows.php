<?php

declare(strict_types=1);

namespace App\Diary;

use App\Shared\Row;
use Doctrine\DBAL\Connection;
use JollyFurrow\Diary\About;
use JollyFurrow\Diary\Bears;
use JollyFurrow\Diary\Diary;
use JollyFurrow\Diary\Dressing;
use JollyFurrow\Diary\Mark;
use JollyFurrow\Diary\MarkKind;
use JollyFurrow\Diary\OwnCare;
use JollyFurrow\Diary\OwnJob;
use JollyFurrow\Diary\SeedLot;
use JollyFurrow\Diary\TaskId;
use JollyFurrow\Diary\Worker;
use JollyFurrow\Measure\Length;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/** What people keep beside the plan, out of the database. */
final readonly class DiaryRows
{
    /** Ticks older than this, of what is cleared, no longer bear on any week that is looked at. Days. */
    private const MARKS_BACK = 90;

    public function __construct(private Connection $connection)
    {
    }

    /** @param bool $whole all marks: for a file */
    public function of(string $gardenId, Day $today, bool $whole): Diary
    {
        return new Diary($this->marks($gardenId, $whole ? null : $today->number - self::MARKS_BACK), $this->workers($gardenId),
            $this->ownJobs($gardenId), $this->ownCare($gardenId), $this->seedLots($gardenId));
    }

    /** @return list<Mark> */
    private function marks(string $gardenId, ?int $since): array
    {
        $rows = $this->rows('SELECT m.*, p.key_name AS planting, b.name AS bed, k.name AS block, o.key_name AS own_job FROM job_mark m '
            .'LEFT JOIN planting p ON p.garden_id = m.garden_id AND p.id = m.planting_id '
            .'LEFT JOIN bed b ON b.garden_id = m.garden_id AND b.id = m.bed_id '
            .'LEFT JOIN own_job o ON o.garden_id = m.garden_id AND o.id = m.own_job_id '
            .'LEFT JOIN block k ON k.garden_id = m.garden_id AND k.id = m.block_id WHERE m.garden_id = ?'
            .(null === $since ? '' : " AND (m.day >= $since OR p.standing <> 'cleared')").' ORDER BY m.id', $gardenId);

        return array_map(static fn (Row $r): Mark => new Mark(self::task($r), MarkKind::from($r->text('kind')), $r->day('day'),
            null === $r->optionalInt('length_um') ? null : Length::fromMicrometres($r->int('length_um')), $r->optionalInt('minutes'),
            $r->text('who'), $r->text('words'), null === $r->optionalInt('until') ? null : $r->day('until'),
            $r->optionalFloat('amount')), $rows);
    }

    private static function task(Row $row): TaskId
    {
        $about = About::from($row->text('about'));
        $of = match ($about) {
            About::Planting => $row->text('planting'),
            About::Bed => $row->text('bed'),
            About::Block => $row->text('block'),
            About::OwnJob => $row->text('own_job'),
            About::Garden => '',
        };

        return TaskId::of($about, $of, $row->text('step'));
    }

    /** @return list<Worker> */
    private function workers(string $gardenId): array
    {
        return array_map(static function (Row $r): Worker {
            $hours = [];
            foreach ($r->numbers('hours') as $day => $value) {
                $hours[(int) $day] = $value;
            }
            $number = static fn (mixed $n): int => is_numeric($n) ? (int) $n : 0;
            $away = array_map(static fn (array $days): Period => Period::fromFirstToLast(Day::of($number($days[0] ?? 0)),
                Day::of($number($days[1] ?? 0))), array_values(array_filter($r->json('away'), is_array(...))));

            return new Worker($r->text('name'), $hours, $away);
        }, $this->rows('SELECT * FROM worker WHERE garden_id = ? ORDER BY position, name', $gardenId));
    }

    /** @return list<OwnJob> */
    private function ownJobs(string $gardenId): array
    {
        return array_map(static fn (Row $r): OwnJob => new OwnJob($r->text('key_name'), $r->text('words'), $r->text('block'),
            Bears::from($r->text('bears')), $r->float('hours'), $r->int('wait'), $r->day('first_day'), $r->optionalInt('every'),
            null === $r->optionalInt('last_day') ? null : $r->day('last_day')),
            $this->rows("SELECT o.*, COALESCE(b.name, '') AS block FROM own_job o LEFT JOIN block b ON b.garden_id = o.garden_id "
                .'AND b.id = o.block_id WHERE o.garden_id = ? ORDER BY o.id', $gardenId));
    }

    /** @return list<OwnCare> */
    private function ownCare(string $gardenId): array
    {
        return array_map(static fn (Row $r): OwnCare => new OwnCare($r->text('key_name'), $r->text('crop'), $r->text('words'),
            $r->text('counted_from'), $r->int('after_days'), $r->optionalInt('every'), 1 === $r->int('goes_on'), $r->float('hours'),
            $r->optionalFloat('threshold')),
            $this->rows('SELECT * FROM own_care WHERE garden_id = ? ORDER BY id', $gardenId));
    }

    /** @return list<SeedLot> */
    private function seedLots(string $gardenId): array
    {
        return array_map(static fn (Row $r): SeedLot => new SeedLot($r->text('key_name'), $r->text('variety'), $r->float('grams'),
            $r->day('counted'), $r->int('year'), $r->optionalFloat('germination'), $r->text('supplier'), $r->optionalFloat('packet'),
            $r->optionalInt('cents'), $r->text('setting'), Dressing::from($r->text('dressing'))),
            $this->rows('SELECT * FROM seed_lot WHERE garden_id = ? ORDER BY id', $gardenId));
    }

    /** @return list<Row> */
    private function rows(string $sql, string $gardenId): array
    {
        return array_map(static fn (array $row): Row => new Row($row), $this->connection->fetchAllAssociative($sql, [$gardenId]));
    }
}
