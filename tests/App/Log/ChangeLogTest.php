<?php

declare(strict_types=1);

namespace App\Tests\Log;

use App\Log\ChangeLog;
use App\Rows\BlockRecord;
use App\Rows\Change;
use App\Rows\GardenRecord;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use Doctrine\ORM\EntityManagerInterface;

final class ChangeLogTest extends AppCase
{
    public function testAChangeIsOneEntryWithTheRowsBeforeAndAfter(): void
    {
        $this->rename('Another name');
        $change = $this->entry(2);

        self::assertSame('Renamed', $change->words);
        self::assertCount(1, $change->images);
        self::assertSame(['Little Rill', 'Another name'], [$change->images[0]['before']['name'] ?? null,
            $change->images[0]['after']['name'] ?? null]);
    }

    public function testNothingChangedIsNoEntry(): void
    {
        $before = $this->everything();
        $this->rename('Little Rill');

        self::assertSame($before, $this->everything());
    }

    public function testWhatFailsLeavesNothingBehind(): void
    {
        $before = $this->everything();
        $failed = false;
        try {
            $this->log()->record($this->garden, $this->grower->id, 'Half', function () use (&$failed): void {
                $this->entities()->persist(new BlockRecord($this->garden, 'Half', 9));
                $this->entities()->flush();
                $failed = true;
                throw new \DomainException('in the middle');
            });
        } catch (\DomainException) {
        }

        self::assertTrue($failed);
        self::assertSame($before, $this->everything());
    }

    public function testAChangeOfOneGardenCannotTouchAnother(): void
    {
        $other = $this->keep(SmallGarden::json());

        $this->expectException(\LogicException::class);
        $this->expectExceptionMessage('may not touch another');
        $this->log()->record($this->garden, $this->grower->id, 'Across', fn () => $this->entities()->persist(new BlockRecord($other,
            'Stray', 9)));
    }

    public function testEntriesAreNumberedPerGarden(): void
    {
        $this->rename('One');
        $this->rename('Two');
        $this->garden = $this->keep(SmallGarden::json());
        $this->rename('Three');

        self::assertSame('Renamed', $this->entry(2)->words);
        self::assertNull($this->entities()->getRepository(Change::class)->findOneBy(['gardenId' => $this->garden, 'number' => 3]));
    }

    private function rename(string $name): void
    {
        $this->log()->record($this->garden, $this->grower->id, 'Renamed', fn () => $this->entities()->find(GardenRecord::class,
            $this->garden)?->rename($name));
    }

    private function entry(int $number): Change
    {
        return $this->entities()->getRepository(Change::class)->findOneBy(['gardenId' => $this->garden, 'number' => $number])
            ?? throw new \LogicException('There is no such entry.');
    }

    private function log(): ChangeLog
    {
        return $this->service(ChangeLog::class);
    }

    private function entities(): EntityManagerInterface
    {
        return $this->service(EntityManagerInterface::class);
    }
}
