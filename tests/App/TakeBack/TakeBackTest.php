<?php

declare(strict_types=1);

namespace App\Tests\TakeBack;

use App\Shared\Role;
use App\Tests\Support\AppCase;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Time\Day;

/** Taking back in order: by another member, after a reload, with what is in the way, and doing it again. */
final class TakeBackTest extends AppCase
{
    public function testAnotherMemberTakesBackInOrder(): void
    {
        foreach (['21', '22', '23'] as $n) {
            $this->promise($n);
        }
        $other = $this->account('other@example.test');
        $this->join($other, Role::Grower);
        $this->browser->loginUser($other);
        foreach ([[4, 22.0], [3, 21.0], [2, 20.0]] as [$number, $left]) {
            $this->post($this->path('/log/'.$number.'/take-back'), []);
            self::assertResponseRedirects($this->path('/log'));
            self::assertSame($left, $this->lettuce());
        }
    }

    public function testWhatIsInTheWayIsNamedAndTakenBackWithIt(): void
    {
        foreach (['21', '22', '23'] as $n) {
            $this->promise($n);
        }
        $this->post($this->path('/log/2/take-back'), []);
        self::assertResponseStatusCodeSame(409);
        self::assertStringContainsString('Take back these 2 and no. 2', $this->text());
        $this->post($this->path('/log/2/take-back'), ['with' => '1']);

        self::assertSame(20.0, $this->lettuce());
        $this->browser->followRedirect();
        self::assertStringContainsString('3 changes are taken back', $this->text());
    }

    public function testWhatWasBuiltOnItIsInTheWayToo(): void
    {
        $this->post($this->path('/beds/series'), ['block' => 'N', 'prefix' => 'N', 'first' => '1', 'count' => '1', 'length' => '25 m',
            'width' => '75 cm', 'path' => '45 cm', 'place' => 'field']);
        $this->promise('21');
        $this->post($this->path('/standing'), ['keep' => '1', 'column' => ['bed', 'crop', 'sown'], 'cell' => [['N1', 'radish', '10 Feb']]]);
        $this->post($this->path('/log/2/take-back'), []);
        self::assertResponseStatusCodeSame(409);
        self::assertStringContainsString('Take back no. 4 and no. 2', $this->text());
        $this->post($this->path('/log/2/take-back'), ['with' => '1']);

        self::assertArrayNotHasKey('N1', $this->snapshot()->bedsByName());
        self::assertSame(21.0, $this->lettuce(), 'what has nothing to do with it stays');
    }

    public function testDoneAgainItCanBeTakenBackAgain(): void
    {
        $this->promise('21');
        foreach ([2 => 20.0, 3 => 21.0] as $number => $left) {
            $this->post($this->path('/log/'.$number.'/take-back'), []);
            self::assertSame($left, $this->lettuce());
        }
        $this->post($this->path('/log/3/take-back'), []);
        self::assertResponseStatusCodeSame(409);
        $this->post($this->path('/log/2/take-back'), []);
        self::assertResponseRedirects($this->path('/log'));
        self::assertSame(20.0, $this->lettuce());
    }

    private function promise(string $quantity): void
    {
        $this->post($this->path('/promises'), ['outlet' => 'boxes', 'from' => '2026-06-01',
            'q' => ['lettuce' => [Day::parse('2026-06-03')->number => $quantity]]]);
    }

    private function lettuce(): float
    {
        return array_values(array_filter($this->snapshot()->promises, static fn (Promise $p): bool => '2026-06-03' === $p->day->iso()))[0]->quantity;
    }
}
