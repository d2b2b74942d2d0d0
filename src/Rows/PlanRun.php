<?php

declare(strict_types=1);

namespace App\Rows;

use Doctrine\ORM\Mapping as ORM;

/** One drawing-up of a plan: how far it is, whether to stop, what came of it. Not part of the log. */
#[ORM\Entity]
#[ORM\Table(name: 'plan_run')]
class PlanRun
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Column(length: 10)]
    public readonly string $state;

    #[ORM\Column]
    public readonly int $done;

    #[ORM\Column]
    public readonly int $total;

    #[ORM\Column(length: 120)]
    public readonly string $at;

    #[ORM\Column]
    public readonly bool $stop;

    #[ORM\Column(length: 400)]
    public readonly string $outcome;

    /** When it was last seen at work, in seconds since 1970. */
    #[ORM\Column]
    public readonly int $beatAt;

    public function __construct(
        #[ORM\Column(length: 36)]
        public readonly string $gardenId,
        #[ORM\Column]
        public readonly int $startedAt,
        #[ORM\Column(length: 200)]
        public readonly string $scope = '',
    ) {
        $this->id = GardenRow::newId();
        $this->state = 'waiting';
        $this->done = 0;
        $this->total = 0;
        $this->at = '';
        $this->stop = false;
        $this->outcome = '';
        $this->beatAt = $startedAt;
    }
}
