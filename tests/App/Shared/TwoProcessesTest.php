<?php

declare(strict_types=1);

namespace App\Tests\Shared;

use PHPUnit\Framework\TestCase;

/** Several processes that read and then write the same file: every confirmed write is there, none fails with "database is locked". */
final class TwoProcessesTest extends TestCase
{
    private const PROCESSES = 3;
    private const ROUNDS = 40;

    public function testNoWriteIsLostOrRefused(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'two');
        $processes = [];
        self::assertSame('0', $this->finish($this->start($file, 0)));
        for ($i = 0; $i < self::PROCESSES; ++$i) {
            $processes[] = $this->start($file, self::ROUNDS);
        }
        foreach ($processes as $process) {
            self::assertIsNumeric($this->finish($process));
        }

        self::assertSame((string) (self::PROCESSES * self::ROUNDS), $this->finish($this->start($file, 0)));
        array_map(unlink(...), glob($file.'*') ?: []);
    }

    /** @return array{resource, resource, resource} process, what it prints, what it complains */
    private function start(string $file, int $rounds): array
    {
        $process = proc_open([\PHP_BINARY, __DIR__.'/two_processes.php', $file, (string) $rounds], [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes);
        self::assertIsResource($process);

        return [$process, $pipes[1], $pipes[2]];
    }

    /** @param array{resource, resource, resource} $started */
    private function finish(array $started): string
    {
        $out = trim((string) stream_get_contents($started[1]));
        $complaint = (string) stream_get_contents($started[2]);
        self::assertSame(0, proc_close($started[0]), $complaint);

        return $out;
    }
}
