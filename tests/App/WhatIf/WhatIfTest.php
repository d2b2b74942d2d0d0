<?php

declare(strict_types=1);

namespace App\Tests\WhatIf;

use App\Shared\Role;
use App\Store\Snapshot;
use App\Store\WhatIfs;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use Doctrine\DBAL\Connection;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Shelter\PlaceType;

/** Copies that ask, held against the garden, taken over or dropped. The boxes are promised twenty lettuces on three Wednesdays of June. */
final class WhatIfTest extends AppCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->garden = $this->keep(SmallGarden::json());
    }

    public function testACopyLeavesTheGardenAsItIs(): void
    {
        $before = $this->everything();
        $copy = $this->ask(['kind' => 'more-of', 'outlet' => 'boxes', 'more' => '50']);

        self::assertSame($before, $this->everything());
        self::assertSame([30.0, 30.0, 30.0], $this->promised($copy));
        $this->browser->request('GET', $this->path('/what-if'));
        self::assertStringContainsString('50 % more for Boxes', $this->text());
        self::assertSelectorTextContains('.what-if thead', 'As planned now');
    }

    /** Drawn up it is kept at once, in the copy alone, and leads back to the garden it was made of. */
    public function testItsPlanIsDrawnUpAndHeldAgainst(): void
    {
        $copy = $this->ask(['kind' => 'as-it-is', 'words' => 'nothing else']);
        $before = $this->everything();
        $this->post('/g/'.$copy.'/plan', ['what' => '']);

        self::assertResponseRedirects($this->path('/what-if'));
        self::assertSame($before, $this->everything());
        self::assertGreaterThan(1, \count($this->service(Snapshot::class)->of($copy)->plantings->all()));
        self::assertSame(1, \count($this->snapshot()->plantings->all()));
    }

    public function testTakenOverAndTakenBack(): void
    {
        $before = $this->snapshot();
        $copy = $this->ask(['kind' => 'second-market', 'outlet' => 'boxes', 'weekday' => '5', 'share' => '50']);
        $this->post($this->path('/what-if/take-over'), ['copy' => $copy]);
        self::assertResponseRedirects($this->path('/plan'));
        $after = $this->snapshot();

        self::assertSame(['boxes', 'stall', 'boxes-two'], array_column($after->outlets, 'key'));
        self::assertSame([10.0, 10.0, 10.0], array_values(array_map(static fn (Promise $p): float => $p->quantity, array_filter(
            $after->promises, static fn (Promise $p): bool => 'boxes-two' === $p->outlet))));
        $this->browser->followRedirect();
        $this->browser->submitForm('Undo');
        self::assertEquals($before->promises, $this->snapshot()->promises);
        self::assertCount(2, $this->snapshot()->outlets);
        $this->post($this->path('/what-if/drop'), ['copy' => $copy]);
        self::assertSame([], $this->service(Connection::class)->fetchAllAssociative('SELECT 1 FROM garden WHERE id = ?', [$copy]));
        self::assertSame(0, $this->service(Connection::class)->fetchOne('SELECT COUNT(*) FROM promise WHERE garden_id = ?', [$copy]));
    }

    public function testBedsOutOfUseAreTakenOver(): void
    {
        $copy = $this->ask(['kind' => 'without-place', 'place' => 'tunnel']);
        $this->post($this->path('/what-if/take-over'), ['copy' => $copy]);

        self::assertSame(0.0, $this->snapshot()->metresOf(PlaceType::Tunnel));
        $this->post($this->path('/what-if/take-over'), ['copy' => $copy]);
        self::assertResponseRedirects($this->path('/what-if'), message: 'nothing is different any more');
    }

    public function testWhatIsWrongIsSaid(): void
    {
        $before = $this->gardens();
        foreach ([['kind' => 'more-of', 'outlet' => 'boxes', 'more' => '0'], ['kind' => 'without-place', 'place' => 'heated'],
            ['kind' => 'second-market', 'outlet' => 'nobody', 'weekday' => '5', 'share' => '50'], ['kind' => 'flood']] as $wrong) {
            $this->post($this->path('/what-if'), $wrong);
            self::assertResponseStatusCodeSame(422, (string) json_encode($wrong));
        }
        self::assertSame($before, $this->gardens());
    }

    public function testFourAtMost(): void
    {
        for ($n = 0; $n < WhatIfs::MOST; ++$n) {
            $this->ask(['kind' => 'as-it-is', 'words' => 'number '.$n]);
        }
        $this->post($this->path('/what-if'), ['kind' => 'as-it-is']);

        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('Drop one first.', $this->text());
    }

    /** Another member of the garden sees no copy that is not theirs, and can neither take it over nor drop it. */
    public function testACopyIsItsMakersOwn(): void
    {
        $copy = $this->ask(['kind' => 'as-it-is', 'words' => 'mine alone']);
        $this->browser->followRedirect();
        $other = $this->account('second@example.test');
        $this->join($other, Role::Grower);
        $this->browser->loginUser($other);
        $this->browser->request('GET', $this->path('/what-if'));
        self::assertStringNotContainsString('mine alone', $this->text());
        foreach (['drop', 'take-over'] as $act) {
            $this->post($this->path('/what-if/'.$act), ['copy' => $copy]);
            self::assertResponseStatusCodeSame(404);
        }
        $this->browser->request('GET', '/g/'.$copy.'/promises');
        self::assertResponseStatusCodeSame(404);
    }

    private function gardens(): mixed
    {
        return $this->service(Connection::class)->fetchOne('SELECT COUNT(*) FROM garden');
    }

    /** @param array<string, string> $question */
    private function ask(array $question): string
    {
        $this->post($this->path('/what-if'), $question);
        self::assertResponseRedirects($this->path('/what-if'));
        $copy = $this->service(Connection::class)->fetchOne('SELECT garden_id FROM what_if ORDER BY rowid DESC LIMIT 1');
        self::assertIsString($copy);

        return $copy;
    }

    /** @return list<float> */
    private function promised(string $copy): array
    {
        return array_map(static fn (Promise $p): float => $p->quantity, $this->service(Snapshot::class)->of($copy)->promises);
    }
}
