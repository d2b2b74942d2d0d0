<?php

declare(strict_types=1);

namespace App\Garden;

use App\Log\ChangeLog;
use App\Rows\BlockRecord;
use App\Rows\GardenRecord;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Land\Bed;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Blocks in walking order: another name, another place in the walk; deleted when no bed is in them. */
final class BlockController extends Page
{
    public function __construct(private readonly Snapshot $snapshot, private readonly EntityManagerInterface $entities,
        private readonly ChangeLog $log, private readonly Connection $connection, private readonly Remains $remains)
    {
    }

    #[Route('/g/{garden}/beds/blocks', name: 'beds_blocks', methods: ['GET'])]
    public function blocks(Request $request, Visit $visit): Response
    {
        return $this->show($request, $visit, $this->snapshot->of($visit->gardenId), Entry::fresh());
    }

    /** One block at a time: what is asked for it is named by the button. */
    #[Route('/g/{garden}/beds/blocks', name: 'beds_blocks_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $entry = new Entry($request->request->all());
        $block = $entry->oneOf('block', $garden->blocks);
        $name = $entry->text('name', Limits::BLOCK_NAME);
        $do = $entry->oneOf('do', ['rename', 'up', 'down', 'delete']);
        if ($entry->isGood() && 'rename' === $do && $name !== $block && \in_array($name, $garden->blocks, true)) {
            $entry->fault('name', \sprintf('There is a block %s already.', $name));
        }
        if ($entry->isGood() && 'delete' === $do && [] !== self::beds($garden, $block)) {
            $entry->fault('name', \sprintf('%d beds are in it. Give them another block first.', \count(self::beds($garden, $block))));
        }
        if (!$entry->isGood()) {
            return $this->show($request, $visit, $garden, $entry);
        }
        $words = match ($do) {
            'rename' => $name === $block ? '' : \sprintf('Block %s is called %s', $block, $name),
            'delete' => \sprintf('Block %s deleted', $block),
            default => \sprintf('Block %s comes %s in the walk', $block, 'up' === $do ? 'earlier' : 'later'),
        };
        if ('' === $words) {
            return $this->seeOther('beds_blocks', ['garden' => $visit->gardenId]);
        }
        $this->log->record($visit->gardenId, $visit->accountId, $words, fn () => match ($do) {
            'rename' => $this->rename($visit->gardenId, $garden, $block, $name),
            'delete' => $this->delete($visit->gardenId, $garden, $block),
            default => $this->walk($visit->gardenId, $garden, $block, 'up' === $do ? -1 : 1),
        });

        return $this->kept($visit, $words.'.', $this->generateUrl('beds_blocks', ['garden' => $visit->gardenId]));
    }

    private function rename(string $gardenId, Garden $garden, string $block, string $name): void
    {
        $this->record($gardenId, $block)->rename($name);
        $this->rule($gardenId, $garden->settings->mapped($garden->settings->map->renaming($block, $name))->ruledBy(
            $garden->settings->rules->renamingBlock($block, $name, isset($garden->bedsByName()[$block]))));
    }

    private function delete(string $gardenId, Garden $garden, string $block): void
    {
        $this->remains->ofBlock($gardenId, $this->record($gardenId, $block)->id);
        $this->entities->remove($this->record($gardenId, $block));
        $this->rule($gardenId, $garden->settings->mapped($garden->settings->map->withoutBlock($block))->ruledBy(
            $garden->settings->rules->withoutBlock($block, isset($garden->bedsByName()[$block]))));
    }

    private function walk(string $gardenId, Garden $garden, string $block, int $by): void
    {
        $at = (int) array_search($block, $garden->blocks, true);
        $order = $garden->blocks;
        array_splice($order, $at, 1);
        array_splice($order, max(0, $at + $by), 0, [$block]);
        foreach ($order as $position => $name) {
            $this->record($gardenId, $name)->walkOn($position);
        }
        $this->connection->delete('proposal', ['garden_id' => $gardenId]);
    }

    /** A proposal names blocks as they were: it is drawn up anew. */
    private function rule(string $gardenId, Settings $settings): void
    {
        $this->entities->getRepository(GardenRecord::class)->findOneBy(['gardenId' => $gardenId])?->choose($settings);
        $this->connection->delete('proposal', ['garden_id' => $gardenId]);
    }

    private function record(string $gardenId, string $block): BlockRecord
    {
        return $this->entities->getRepository(BlockRecord::class)->findOneBy(['gardenId' => $gardenId, 'name' => $block])
            ?? throw new \OutOfBoundsException('There is no such block.');
    }

    /** @return list<Bed> */
    private static function beds(Garden $garden, string $block): array
    {
        return array_values(array_filter($garden->beds, static fn (Bed $bed): bool => $bed->block === $block));
    }

    private function show(Request $request, Visit $visit, Garden $garden, Entry $entry): Response
    {
        $beds = array_combine($garden->blocks, array_map(static fn (string $b): int => \count(self::beds($garden, $b)), $garden->blocks));

        return $this->page($request, 'garden/blocks.html.twig', ['visit' => $visit, 'garden' => $garden, 'beds' => $beds,
            'entry' => $entry],
            'blocks', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
