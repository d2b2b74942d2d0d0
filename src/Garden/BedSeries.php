<?php

declare(strict_types=1);

namespace App\Garden;

use App\Rows\BedRecord;
use App\Rows\BlockRecord;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Land\Bed;

/** Stores new beds, and the blocks they need. To be called inside a logged change. */
final readonly class BedSeries
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /**
     * @param list<Bed> $beds
     * @param int       $blocks how many blocks there are
     *
     * @return array<string, string> ids by bed name
     */
    public function add(string $gardenId, array $beds, int $blocks): array
    {
        $ids = [];
        $made = [];
        foreach ($beds as $bed) {
            $block = $made[$bed->block] ?? $this->entities->getRepository(BlockRecord::class)->findOneBy(['gardenId' => $gardenId,
                'name' => $bed->block]);
            if (null === $block) {
                $block = new BlockRecord($gardenId, $bed->block, $blocks + \count($made));
                $this->entities->persist($block);
            }
            $made[$bed->block] = $block;
            $record = new BedRecord($gardenId, $block->id, $bed);
            $this->entities->persist($record);
            $ids[$bed->name] = $record->id;
        }

        return $ids;
    }
}
