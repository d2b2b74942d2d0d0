<?php

declare(strict_types=1);

namespace App\Soil;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Land\Valve;
use JollyFurrow\Soil\FeedRules;
use JollyFurrow\Soil\SoilBook;
use JollyFurrow\Soil\SoilTest;
use JollyFurrow\Soil\Spread;

/** Puts tests, the shed, what was spread, valves and rules into the database. To be called inside a logged change. */
final readonly class SoilKeeper
{
    public function __construct(private EntityManagerInterface $entities, private Connection $connection)
    {
    }

    /** Of a garden whose beds are about to be stored with it. */
    public function begin(string $gardenId, SoilBook $soil): void
    {
        if ($soil->isEmpty()) {
            return;
        }
        $this->entities->flush();
        $this->test($gardenId, $soil->tests);
        foreach ($soil->shed as $product) {
            $this->entities->persist(new ShedProductRecord($gardenId, $product));
        }
        $this->spread($gardenId, $soil->spreads);
        foreach ($soil->valves as $valve) {
            $this->valve($gardenId, $valve);
        }
        if ($soil->rules != new FeedRules()) {
            $this->entities->persist(new FeedRulesRecord($gardenId, $soil->rules));
        }
    }

    /** @param list<SoilTest> $tests one that is there already is changed */
    public function test(string $gardenId, array $tests): void
    {
        $beds = [] === $tests ? [] : $this->ids($gardenId, 'bed');
        $blocks = [] === $tests ? [] : $this->ids($gardenId, 'block');
        foreach ($tests as $test) {
            $there = $this->entities->getRepository(SoilTestRecord::class)->findOneBy(['gardenId' => $gardenId, 'key' => $test->key]);
            null !== $there ? $there->become($test, $beds[$test->bed] ?? null, $blocks[$test->block] ?? null)
                : $this->entities->persist(new SoilTestRecord($gardenId, $beds[$test->bed] ?? null, $blocks[$test->block] ?? null, $test));
        }
    }

    /** @param list<Spread> $spreads */
    public function spread(string $gardenId, array $spreads): void
    {
        $beds = [] === $spreads ? [] : $this->ids($gardenId, 'bed');
        foreach ($spreads as $spread) {
            $there = $this->entities->getRepository(SpreadRecord::class)->findOneBy(['gardenId' => $gardenId, 'key' => $spread->key]);
            if (null !== $there) {
                $there->become($spread);
            } elseif (isset($beds[$spread->bed])) {
                $this->entities->persist(new SpreadRecord($gardenId, $beds[$spread->bed], $spread));
            }
        }
    }

    /** A bed hangs on one valve: those of this one are taken off others. */
    public function valve(string $gardenId, Valve $valve): void
    {
        $ids = $this->ids($gardenId, 'bed');
        $record = $this->entities->getRepository(ValveRecord::class)->findOneBy(['gardenId' => $gardenId, 'key' => $valve->key]);
        null === $record ? $this->entities->persist($record = new ValveRecord($gardenId, $valve)) : $record->become($valve);
        foreach ($this->entities->getRepository(ValveBedRecord::class)->findBy(['gardenId' => $gardenId,
            'valveId' => $record->id]) as $hung) {
            $this->entities->remove($hung);
        }
        foreach ($valve->beds as $bed) {
            foreach (isset($ids[$bed]) ? $this->entities->getRepository(ValveBedRecord::class)->findBy(['gardenId' => $gardenId,
                'bedId' => $ids[$bed]]) : [] as $hung) {
                $this->entities->remove($hung);
            }
            isset($ids[$bed]) ? $this->entities->persist(new ValveBedRecord($gardenId, $record->id, $ids[$bed])) : null;
        }
    }

    /** @return array<string, string> id by name */
    private function ids(string $gardenId, string $table): array
    {
        /** @var array<string, string> $ids */
        $ids = $this->connection->fetchAllKeyValue('SELECT name, id FROM '.$table.' WHERE garden_id = ?', [$gardenId]);

        return $ids;
    }
}
