<?php

declare(strict_types=1);

namespace App\Diary;

use App\Rows\GardenRow;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Diary\Worker;
use JollyFurrow\Time\Period;

#[ORM\Entity]
#[ORM\Table(name: 'worker')]
class WorkerRecord extends GardenRow
{
    #[ORM\Column(length: 60)]
    private string $name;
    /** @var array<int, float> */
    #[ORM\Column(type: 'json')]
    private array $hours;
    /** @var list<array{int, int}> first and last days */
    #[ORM\Column(type: 'json')]
    private array $away;

    public function __construct(string $gardenId,
        #[ORM\Column]
        public readonly int $position, Worker $worker)
    {
        parent::__construct($gardenId);
        $this->become($worker);
    }

    public function become(Worker $worker): void
    {
        $this->name = $worker->name;
        $this->hours = $worker->hours;
        $this->away = array_map(static fn (Period $p): array => [$p->start->number, $p->last()->number], $worker->away);
    }

    public function name(): string
    {
        return $this->name;
    }
}
