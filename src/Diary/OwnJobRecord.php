<?php

declare(strict_types=1);

namespace App\Diary;

use App\Rows\GardenRow;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Diary\OwnJob;
use JollyFurrow\Time\Day;

/** A job the grower wrote down; named by its key. */
#[ORM\Entity]
#[ORM\Table(name: 'own_job')]
class OwnJobRecord extends GardenRow
{
    #[ORM\Column(name: 'key_name', length: 36)]
    public readonly string $key;
    #[ORM\Column(length: 200)]
    private string $words;
    #[ORM\Column(length: 4)]
    private string $bears;
    #[ORM\Column]
    private float $hours;
    #[ORM\Column]
    private int $wait;
    #[ORM\Column(type: 'day')]
    private Day $firstDay;
    #[ORM\Column(nullable: true)]
    private ?int $every;
    #[ORM\Column(type: 'day', nullable: true)]
    private ?Day $lastDay;

    public function __construct(string $gardenId,
        #[ORM\Column(length: 36, nullable: true)]
        private ?string $blockId, OwnJob $job)
    {
        parent::__construct($gardenId);
        $this->key = $job->key;
        $this->become($job, $blockId);
    }

    public function become(OwnJob $job, ?string $blockId): void
    {
        $this->blockId = $blockId;
        $this->words = $job->words;
        $this->bears = $job->bears->value;
        $this->hours = $job->hours;
        $this->wait = $job->wait;
        $this->firstDay = $job->first;
        $this->every = $job->every;
        $this->lastDay = $job->last;
    }
}
