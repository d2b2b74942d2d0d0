<?php

declare(strict_types=1);

namespace App\Tests\Shared;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;

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

    /** Two growers raise the same promise again and again: whoever comes second is asked, and no number is lost. */
    public function testTheSecondOfTwoGrowersIsAskedAndNoChangeIsLost(): void
    {
        $folder = sys_get_temp_dir().'/growers-'.bin2hex(random_bytes(6));
        mkdir($folder);
        [$garden, $account] = explode(' ', $this->finish($this->grower($folder, 'begin')));
        $growers = [$this->grower($folder, 'add', $garden, $account, '25', '1'), $this->grower($folder, 'add', $garden, $account, '25',
            '100')];
        $asked = array_sum(array_map(fn (array $one): int => (int) $this->finish($one), $growers));

        self::assertSame('2545 51', $this->finish($this->grower($folder, 'look', $garden)),
            '20 were promised, and each of the fifty changes is an entry');
        self::assertGreaterThan(0, $asked);
        (new Filesystem())->remove($folder);
    }

    /** @return array{resource, resource, resource} */
    private function grower(string $folder, string ...$arguments): array
    {
        return $this->started([__DIR__.'/two_growers.php', $folder, ...array_values($arguments)]);
    }

    /** @return array{resource, resource, resource} process, what it prints, what it complains */
    private function start(string $file, int $rounds): array
    {
        return $this->started([__DIR__.'/two_processes.php', $file, (string) $rounds]);
    }

    /**
     * @param non-empty-list<string> $script with its arguments
     *
     * @return array{resource, resource, resource} process, what it prints, what it complains
     */
    private function started(array $script): array
    {
        $process = proc_open([\PHP_BINARY, ...$script], [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes);
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
