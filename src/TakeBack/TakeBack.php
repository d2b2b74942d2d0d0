<?php

declare(strict_types=1);

namespace App\TakeBack;

use App\Books\GardenBooks;
use App\Books\GardenRecipes;
use App\Log\ChangeLog;
use App\Log\MovedOn;
use App\Log\RowImages;
use App\Proposal\Proposals;
use App\Rows\Change;
use App\Shared\Today;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\EntityRepository;
use JollyFurrow\Book\BookFault;

/** Takes a change back: puts the rows' earlier images in place, if nothing has moved on since. */
final readonly class TakeBack
{
    private const NAMED = ['name' => true, 'version' => true];

    public function __construct(private EntityManagerInterface $entities, private Connection $connection, private RowImages $images,
        private ChangeLog $log, private Today $today, private GardenBooks $books, private GardenRecipes $recipes,
        private Proposals $proposals)
    {
    }

    /** @throws MovedOn when a later change has touched the same rows */
    public function takeBack(Change $change, string $accountId): void
    {
        $this->entities->wrapInTransaction(function () use ($change, $accountId): void {
            $this->entities->refresh($change);
            if ($change->isTakenBack()) {
                throw MovedOn::alreadyTakenBack($change->number);
            }
            $now = array_map($this->images->of(...), $change->images);
            $moved = array_filter($change->images, static fn (array $image, int $i): bool => !RowImages::same($now[$i],
                $image['after']), \ARRAY_FILTER_USE_BOTH);
            if ([] !== $moved) {
                throw MovedOn::rows($change->number, \count($moved));
            }
            $swapped = [];
            foreach ($change->images as $i => $image) {
                $this->images->restore($image['table'], $image['id'], $now[$i], $image['before']);
                $swapped[] = ['table' => $image['table'], 'id' => $image['id'], 'before' => $now[$i], 'after' => $this->images->of($image)];
            }
            $this->proposalFollows($change);
            if ([] !== $this->connection->fetchAllAssociative('PRAGMA foreign_key_check') || !$this->isBookWhole($change)
                || !$this->areRecipesThere($change)) {
                throw MovedOn::inUse($change->number);
            }
            $number = $this->log->nextNumber($change->gardenId);
            $this->entities->persist(new Change($change->gardenId, $number, $accountId, $this->today->now()->getTimestamp(),
                'Taken back: '.mb_substr($change->words, 0, 380), $swapped, $change->number));
            $change->takenBackBy($number);
            foreach ($this->changes()->findBy(['gardenId' => $change->gardenId, 'takenBackBy' => $change->number]) as $again) {
                $again->takenBackBy(null);
            }
        });
        $this->entities->clear();
    }

    /** An open proposal speaks of beds by name: it follows a name that comes back, and goes with any other change of a bed. */
    private function proposalFollows(Change $change): void
    {
        foreach ($change->images as $image) {
            if ('bed' !== $image['table']) {
                continue;
            }
            [$is, $was] = [$image['after']['name'] ?? null, $image['before']['name'] ?? null];
            $isOnlyNamed = null !== $image['before'] && null !== $image['after'] && array_diff_key($image['before'], self::NAMED)
                == array_diff_key($image['after'], self::NAMED);
            $isOnlyNamed && \is_string($is) && \is_string($was) ? $this->proposals->renameBed($change->gardenId, $is, $was)
                : $this->proposals->drop($change->gardenId);
        }
    }

    /**
     * Everything that holds and came after a change, as one change of its own, which may be taken back in its turn.
     *
     * @return int how many were taken back
     *
     * @throws MovedOn
     */
    public function takeBackSince(string $gardenId, int $number, string $accountId, string $words): int
    {
        $count = $this->entities->wrapInTransaction(function () use ($gardenId, $number, $accountId, $words): int {
            $later = array_reverse($this->holdingAfter($gardenId, $number));
            if ([] === $later) {
                return 0;
            }
            $swapped = [];
            foreach ($later as $change) {
                foreach ($change->images as $image) {
                    $now = $this->images->of($image);
                    if (!RowImages::same($now, $image['after'])) {
                        throw MovedOn::rows($change->number, 1);
                    }
                    $this->images->restore($image['table'], $image['id'], $now, $image['before']);
                    $row = $image['table'].'/'.$image['id'];
                    $swapped[$row] = [...($swapped[$row] ?? ['table' => $image['table'], 'id' => $image['id'], 'before' => $now]),
                        'after' => $this->images->of($image)];
                }
            }
            $over = $this->log->nextNumber($gardenId);
            $this->entities->persist(new Change($gardenId, $over, $accountId, $this->today->now()->getTimestamp(), $words,
                array_values($swapped), $later[\count($later) - 1]->number));
            array_map(static fn (Change $change) => $change->takenBackBy($over), $later);

            return \count($later);
        });
        $this->entities->clear();

        return $count;
    }

    /** Own crop values make a book, and every crop that is planted or sold is in it. */
    private function isBookWhole(Change $change): bool
    {
        if (!\in_array('own_value', array_column($change->images, 'table'), true)) {
            return true;
        }
        try {
            $book = $this->books->built($this->books->own($change->gardenId));
        } catch (BookFault) {
            return false;
        }
        $used = $this->connection->fetchFirstColumn('SELECT item FROM planting WHERE garden_id = ? UNION SELECT variety FROM planting WHERE garden_id = ? UNION SELECT item FROM product_part WHERE garden_id = ?', array_fill(0, 3, $change->gardenId));

        return [] === array_filter($used, static fn (mixed $key): bool => !\is_string($key) || !$book->has($key));
    }

    /** Every recipe a bed is or was made ready by is there. */
    private function areRecipesThere(Change $change): bool
    {
        if (!\in_array('own_recipe', array_column($change->images, 'table'), true)) {
            return true;
        }
        $recipes = $this->recipes->shipped()->with(GardenRecipes::own($this->connection, $change->gardenId));
        $used = $this->connection->fetchFirstColumn('SELECT recipe FROM planting WHERE garden_id = ? UNION SELECT recipe FROM garden WHERE garden_id = ?', [$change->gardenId, $change->gardenId]);

        return [] === array_filter($used, static fn (mixed $key): bool => !\is_string($key) || !$recipes->has($key));
    }

    /**
     * The change and the later ones in its way, all or none, the latest first.
     *
     * @throws MovedOn
     */
    public function takeBackWith(Change $change, string $accountId): int
    {
        return $this->entities->wrapInTransaction(function () use ($change, $accountId): int {
            $numbers = [...array_map(static fn (Change $c): int => $c->number, array_reverse($this->inTheWay($change))), $change->number];
            foreach ($numbers as $number) {
                $this->takeBack($this->changes()->findOneBy(['gardenId' => $change->gardenId, 'number' => $number])
                    ?? throw MovedOn::alreadyTakenBack($number), $accountId);
            }

            return \count($numbers);
        });
    }

    /**
     * Later changes that still hold and touched the same rows, or stand on rows it added; and those in the way of these.
     *
     * @return list<Change> the earliest first
     */
    public function inTheWay(Change $change): array
    {
        $touched = [$change];
        $found = [];
        foreach ($this->holdingAfter($change->gardenId, $change->number) as $other) {
            if ([] !== array_filter($touched, static fn (Change $c): bool => self::standsOn($other, $c))) {
                $touched[] = $found[] = $other;
            }
        }

        return $found;
    }

    /** @return list<Change> the earliest first */
    private function holdingAfter(string $gardenId, int $number): array
    {
        $later = $this->changes()->createQueryBuilder('c')
            ->where('c.gardenId = :garden AND c.number > :number AND c.takenBackBy IS NULL AND c.takesBack IS NULL')
            ->setParameter('garden', $gardenId)->setParameter('number', $number)->orderBy('c.number')->getQuery()->getResult();

        return \is_array($later) ? array_values(array_filter($later, static fn (mixed $c): bool => $c instanceof Change)) : [];
    }

    private static function standsOn(Change $later, Change $earlier): bool
    {
        $rows = array_fill_keys(array_map(static fn (array $image): string => $image['table'].'/'.$image['id'], $later->images), true);
        $text = null;
        foreach ($earlier->images as $image) {
            $text ??= null === $image['before'] ? json_encode($later->images, \JSON_THROW_ON_ERROR) : null;
            if (isset($rows[$image['table'].'/'.$image['id']]) || (null === $image['before'] && null !== $text
                && str_contains($text, $image['id']))) {
                return true;
            }
        }

        return false;
    }

    /** @return EntityRepository<Change> */
    private function changes(): EntityRepository
    {
        return $this->entities->getRepository(Change::class);
    }
}
