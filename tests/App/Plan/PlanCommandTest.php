<?php

declare(strict_types=1);

namespace App\Tests\Plan;

use App\Tests\Support\SmallGarden;
use PHPUnit\Framework\TestCase;

/** bin/furrow as a script uses it: JSON on standard output, messages on standard error, exit code 0, 1 or 2. */
final class PlanCommandTest extends TestCase
{
    public function testAllKeptIsNought(): void
    {
        [$code, $out] = self::furrow(SmallGarden::json());
        $plan = json_decode($out, true);

        self::assertSame(0, $code);
        self::assertIsArray($plan);
        self::assertSame('jolly-furrow-plan', $plan['format']);
        self::assertSame([], $plan['short']);
        self::assertNotSame([], $plan['plantings']);
    }

    public function testShortIsOneWithReasons(): void
    {
        [$code, $out] = self::furrow(json_encode([...SmallGarden::values(), 'promises' => [['outlet' => 'stall', 'product' => 'corn',
            'day' => '2026-03-21', 'quantity' => 5]]], \JSON_THROW_ON_ERROR));

        self::assertSame(1, $code);
        self::assertStringContainsString('"reason": "no-sowing"', $out);
    }

    public function testBadInputIsTwoAndNamesTheField(): void
    {
        [$code, $out, $errors] = self::furrow(json_encode([...SmallGarden::values(), 'today' => 'tomorrow'], \JSON_THROW_ON_ERROR));

        self::assertSame([2, ''], [$code, $out]);
        self::assertStringContainsString('today', $errors);
        self::assertStringContainsString('must be a date such as 2026-05-20', $errors);
        self::assertSame(2, self::furrow('{"broken')[0]);
        self::assertSame(2, self::furrow('', '/no/such/file.json')[0]);
    }

    public function testTheSameFileGivesTheSamePlan(): void
    {
        self::assertSame(self::furrow(SmallGarden::json())[1], self::furrow(SmallGarden::json())[1]);
    }

    /** @return array{int, string, string} exit code, standard output, standard error */
    private static function furrow(string $input, string $file = '-'): array
    {
        $process = proc_open([\PHP_BINARY, \dirname(__DIR__, 3).'/bin/furrow', 'plan', $file], [['pipe', 'r'], ['pipe', 'w'],
            ['pipe', 'w']], $pipes, null, ['APP_ENV' => 'test', 'APP_DEBUG' => '0', 'PATH' => (string) getenv('PATH'),
            'JOLLY_FURROW_DATA' => \dirname(__DIR__, 3).'/var/test-data', 'APP_SECRET' => 'x']);
        self::assertIsResource($process);
        fwrite($pipes[0], $input);
        fclose($pipes[0]);
        $out = (string) stream_get_contents($pipes[1]);
        $errors = (string) stream_get_contents($pipes[2]);

        return [proc_close($process), $out, $errors];
    }
}
