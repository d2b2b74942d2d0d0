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
        $folder = self::folder();
        [$garden, $account] = explode(' ', $this->finish($this->grower($folder, 'begin')));
        $growers = [$this->grower($folder, 'add', $garden, $account, '25', '1'), $this->grower($folder, 'add', $garden, $account, '25',
            '100')];
        $asked = array_sum(array_map(fn (array $one): int => (int) $this->finish($one), $growers));

        self::assertSame('2545 51', $this->finish($this->grower($folder, 'look', $garden)),
            '20 were promised, and each of the fifty changes is an entry');
        self::assertGreaterThan(0, $asked);
        (new Filesystem())->remove($folder);
    }

    /**
     * Four write at once, and again and again one of them is killed without a word: what was confirmed is there, each change is
     * whole with its entry, and the file is sound. KILLS=200 for many.
     */
    public function testWritersKilledAtAnyMomentLoseNothingConfirmed(): void
    {
        $folder = self::folder();
        [$garden, $account] = explode(' ', $this->finish($this->grower($folder, 'begin')));
        $start = fn (): array => $this->grower($folder, 'add', $garden, $account, '0', '1');
        $writers = array_map(static fn (int $ignored): array => $start(), range(1, 4));
        [$confirmed, $kills] = [0, (int) (getenv('KILLS') ?: 12)];
        for ($n = 0; $n < $kills; ++$n) {
            $which = random_int(0, 3);
            usleep(random_int(50_000, 400_000));
            $confirmed += self::kill($writers[$which]);
            $writers[$which] = $start();
        }
        $confirmed += array_sum(array_map(self::kill(...), $writers));
        [$promised, $entries, $broken] = [...explode(' ', $this->finish($this->grower($folder, 'look', $garden))), 'sound'];
        $changes = (int) $entries - 1;

        self::assertSame(20 + $changes, (int) $promised, 'each entry is one more');
        self::assertSame('sound', $broken);
        self::assertGreaterThan(0, $confirmed, 'something was written between the kills');
        self::assertGreaterThanOrEqual($confirmed, $changes);
        self::assertLessThanOrEqual($confirmed + $kills + 4, $changes);
        (new Filesystem())->remove($folder);
    }

    /** Two who open the first account, and two who open one invitation, in the same moment: one of them does. */
    public function testOfTwoAtOnceOneBecomesTheFirstOwnerAndOneTakesTheInvitation(): void
    {
        for ($round = 0; $round < 3; ++$round) {
            $folder = self::folder();
            $code = $this->finish($this->grower($folder, 'migrate'));
            self::assertSame(1, $this->both($folder, 'first', $code));
            self::assertSame('[1,0]', $this->finish($this->grower($folder, 'accounts')));
            (new Filesystem())->remove($folder);
        }
        $folder = self::folder();
        [$garden, $account] = explode(' ', $this->finish($this->grower($folder, 'begin')));
        for ($round = 1; $round < 4; ++$round) {
            $secret = $this->finish($this->grower($folder, 'invite', $garden, $account));
            self::assertSame(1, $this->both($folder, 'join', $secret, (string) $round));
            self::assertSame(\sprintf('[%1$d,%1$d]', 1 + $round), $this->finish($this->grower($folder, 'accounts')));
        }
        (new Filesystem())->remove($folder);
    }

    /** @return int how many of the two came through */
    private function both(string $folder, string $how, string $secret, string $round = ''): int
    {
        $two = array_map(fn (string $who): array => $this->grower($folder, $how, $secret, $who.$round.'@example.test'), ['tansy', 'rowan']);

        return (int) array_sum(array_map(fn (array $one): int => (int) $this->finish($one), $two));
    }

    /**
     * @param array{resource, resource, resource} $started
     *
     * @return int changes it had confirmed
     */
    private static function kill(array $started): int
    {
        proc_terminate($started[0], 9);
        $confirmed = substr_count((string) stream_get_contents($started[1]), '+');
        $complaint = (string) stream_get_contents($started[2]);
        proc_close($started[0]);
        self::assertSame('', $complaint);

        return $confirmed;
    }

    private static function folder(): string
    {
        $folder = sys_get_temp_dir().'/growers-'.bin2hex(random_bytes(6));
        mkdir($folder);

        return $folder;
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
