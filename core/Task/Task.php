<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Diary\Bears;
use JollyFurrow\Diary\TaskId;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;
use JollyFurrow\Work\WeedSize;

/** One dated step of one planting, block or garden: the smallest thing that is done and ticked. */
final readonly class Task
{
    /**
     * @param string        $name        of a step or rule, as it is written there; empty: by its kind
     * @param string        $block       empty: anywhere
     * @param list<string>  $beds
     * @param Day           $due         the day that is best
     * @param Day           $first       the first day it can be done
     * @param Day           $last        the last day that still serves
     * @param float         $cents       what it costs when it is not done at all
     * @param float         $units       of sale to be picked; trays to be sown
     * @param Day|null      $doneOn      known to be done, by what was noted or came after
     * @param bool          $isImplied   nobody noted it, but what came after shows it
     * @param bool          $isTakenOver by the next of its kind: nobody did it in time
     * @param WeedSize|null $weeds       for a weed pass
     * @param float|null    $threshold   it asks for a count, and more than this is acted on
     */
    public function __construct(
        public TaskId $id,
        public TaskKind $kind,
        public string $name,
        public ?Planting $planting,
        public string $block,
        public array $beds,
        public Length $length,
        public Day $due,
        public Day $first,
        public Day $last,
        public float $hours,
        public Bears $bears,
        public string $tool,
        public string $caution,
        public float $cents,
        public float $units = 0.0,
        public ?Day $doneOn = null,
        public bool $isImplied = false,
        public bool $isTakenOver = false,
        public ?WeedSize $weeds = null,
        public ?float $threshold = null,
    ) {
    }
}
