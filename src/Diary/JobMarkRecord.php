<?php

declare(strict_types=1);

namespace App\Diary;

use App\Rows\GardenRow;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Diary\About;
use JollyFurrow\Diary\Mark;
use JollyFurrow\Diary\MarkKind;
use JollyFurrow\Diary\TaskId;
use JollyFurrow\Time\Day;

/** What became of a task, as somebody ticked it. */
#[ORM\Entity]
#[ORM\Table(name: 'job_mark')]
class JobMarkRecord extends GardenRow
{
    #[ORM\Column(length: 8)]
    private string $about;
    #[ORM\Column(length: 36, nullable: true)]
    private ?string $plantingId;
    #[ORM\Column(length: 36, nullable: true)]
    private ?string $bedId;
    #[ORM\Column(length: 36, nullable: true)]
    private ?string $blockId;
    #[ORM\Column(length: 36, nullable: true)]
    private ?string $ownJobId;
    #[ORM\Column(length: 60)]
    private string $step;
    #[ORM\Column(length: 5)]
    private string $kind;
    #[ORM\Column(type: 'day')]
    private Day $day;
    #[ORM\Column(nullable: true)]
    private ?int $lengthUm;
    #[ORM\Column(nullable: true)]
    private ?int $minutes;
    #[ORM\Column(length: 60)]
    private string $who;
    #[ORM\Column(length: 400)]
    private string $words;
    #[ORM\Column(type: 'day', nullable: true)]
    private ?Day $until;
    #[ORM\Column(nullable: true)]
    private ?float $amount;

    /** @param string|null $of id of the planting, bed, block or own job; null: it is of the garden */
    public function __construct(string $gardenId, ?string $of, Mark $mark)
    {
        parent::__construct($gardenId);
        $this->about = $mark->task->about->value;
        $is = static fn (About $about): ?string => $about === $mark->task->about ? $of : null;
        [$this->plantingId, $this->bedId, $this->blockId, $this->ownJobId] = [$is(About::Planting), $is(About::Bed), $is(About::Block),
            $is(About::OwnJob)];
        $this->step = $mark->task->step;
        $this->kind = $mark->kind->value;
        $this->day = $mark->day;
        $this->lengthUm = $mark->length?->micrometres;
        $this->minutes = $mark->minutes;
        $this->who = $mark->who;
        $this->words = $mark->words;
        $this->until = $mark->until;
        $this->amount = $mark->count;
    }

    /** The same for a part split off. */
    public function ofPart(string $plantingId, TaskId $task): self
    {
        $copy = new self($this->gardenId, $plantingId, new Mark($task, MarkKind::from($this->kind), $this->day));
        [$copy->minutes, $copy->who, $copy->words, $copy->until, $copy->amount] = [$this->minutes, $this->who, $this->words,
            $this->until, $this->amount];

        return $copy;
    }

    public function step(): string
    {
        return $this->step;
    }
}
