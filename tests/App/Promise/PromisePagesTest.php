<?php

declare(strict_types=1);

namespace App\Tests\Promise;

use App\Tests\Support\AppCase;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Time\Day;

/** The promises of two editors are put together cell by cell; patterns and last year fill many at once. */
final class PromisePagesTest extends AppCase
{
    public function testWhatWasNotTouchedIsNotWrittenOver(): void
    {
        [$first, $second] = [self::day('2026-06-03'), self::day('2026-06-10')];
        $this->type(['lettuce' => [$first => '35', $second => '20']], ['lettuce' => [$first => '20', $second => '20']]);
        $this->type(['lettuce' => [$first => '20', $second => '44']], ['lettuce' => [$first => '20', $second => '20']]);

        self::assertSame([35.0, 44.0, 20.0], $this->lettuce());
    }

    public function testTheSecondOnOneCellIsAskedWithTheTypingKept(): void
    {
        $day = self::day('2026-06-03');
        $this->type(['lettuce' => [$day => '35']], ['lettuce' => [$day => '20']], ['lettuce' => '1.95'], ['lettuce' => '1.80']);
        $before = $this->everything();
        $this->type(['lettuce' => [$day => '50']], ['lettuce' => [$day => '20']], ['lettuce' => '2.20'], ['lettuce' => '1.80']);

        self::assertResponseStatusCodeSame(409);
        self::assertStringContainsString('2 numbers were changed by somebody else while you typed', $this->text());
        self::assertStringContainsString('Somebody else made this 35 meanwhile', $this->text());
        self::assertSelectorExists('input[name="q[lettuce]['.$day.']"][value="50"][aria-invalid]');
        self::assertSelectorExists('input[name="was[lettuce]['.$day.']"][value="35"]');
        self::assertSelectorExists('input[name="price[lettuce]"][value="2.20"][aria-invalid]');
        self::assertSame($before, $this->everything());
        $this->type(['lettuce' => [$day => '50']], ['lettuce' => [$day => '35']]);
        self::assertSame(50.0, $this->lettuce()[0]);
    }

    public function testTheSameNumberTypedByTwoIsNoQuarrel(): void
    {
        $day = self::day('2026-06-03');
        $this->type(['lettuce' => [$day => '35']], ['lettuce' => [$day => '20']]);
        $this->type(['lettuce' => [$day => '35']], ['lettuce' => [$day => '20']]);

        self::assertResponseStatusCodeSame(303);
        self::assertSame(35.0, $this->lettuce()[0]);
    }

    public function testByAPatternInOneChange(): void
    {
        $this->post($this->path('/promises/pattern'), ['outlet' => 'boxes', 'from' => '2026-06-01', 'product' => 'lettuce',
            'quantity' => '30', 'weeks' => '2', 'first' => '2026-06-01', 'last' => '2026-07-01']);
        self::assertResponseStatusCodeSame(303);
        self::assertSame([30.0, 20.0, 30.0, 30.0], $this->lettuce());
        $this->post($this->path('/log/2/take-back'), []);
        self::assertSame([20.0, 20.0, 20.0], $this->lettuce());
        foreach ([['quantity' => 'many'], ['weeks' => '0'], ['last' => '2026-05-01'], ['first' => '2026-06-31'], ['product' => 'pears'],
            ['first' => '2026-06-04', 'last' => '2026-06-05']] as $wrong) {
            $before = $this->everything();
            $this->post($this->path('/promises/pattern'), [...['outlet' => 'boxes', 'from' => '2026-06-01', 'product' => 'lettuce',
                'quantity' => '30', 'weeks' => '2', 'first' => '2026-06-01', 'last' => '2026-07-01'], ...$wrong]);
            self::assertResponseStatusCodeSame(422);
            self::assertSelectorExists('form[action$=pattern] .fault');
            self::assertSame($before, $this->everything());
        }
    }

    public function testAboutAsLastYear(): void
    {
        $fields = ['outlet' => 'boxes', 'from' => '2027-05-31', 'first' => '2027-06-01', 'last' => '2027-06-30', 'percent' => '110'];
        $this->post($this->path('/promises/last-year'), $fields);
        self::assertSame([20.0, 20.0, 20.0, 22.0, 22.0, 22.0], $this->lettuce());
        self::assertSame('2027-06-02', $this->snapshot()->promises[3]->day->iso());
        $this->post($this->path('/promises/last-year'), $fields);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('not promised again already', $this->text());
    }

    public function testASeasonSummedUp(): void
    {
        $this->browser->request('GET', $this->path('/season?year=2026'));

        self::assertSelectorTextContains('p.card', '108.00 EUR');
        $this->browser->request('GET', $this->path('/season?year=1999'));
        self::assertStringContainsString('Nothing is promised in 1999', $this->text());
    }

    /**
     * @param array<string, array<int, string>> $typed
     * @param array<string, array<int, string>> $was
     * @param array<string, string>             $prices
     * @param array<string, string>             $wasPrices
     */
    private function type(array $typed, array $was, array $prices = [], array $wasPrices = []): void
    {
        $this->post($this->path('/promises'), ['outlet' => 'boxes', 'from' => '2026-06-01', 'q' => $typed, 'was' => $was,
            'price' => $prices, 'was_price' => $wasPrices]);
    }

    /** @return list<float> lettuce to the boxes by day */
    private function lettuce(): array
    {
        return array_values(array_map(static fn (Promise $p): float => $p->quantity, array_filter($this->snapshot()->promises,
            static fn (Promise $p): bool => 'lettuce' === $p->product)));
    }

    private static function day(string $iso): int
    {
        return Day::parse($iso)->number;
    }
}
