<?php

declare(strict_types=1);

namespace App\Tests\Shared;

use App\Shared\SessionFiles;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

final class SessionFilesTest extends TestCase
{
    private const ID = 'abcdef0123456789abcdef0123';

    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/sessions-'.bin2hex(random_bytes(6));
        (new Filesystem())->mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        (new Filesystem())->remove($this->folder);
    }

    public function testWhatIsWrittenIsReadAndOnlyByItsOwner(): void
    {
        $this->with(static fn (SessionFiles $files): bool => $files->write(self::ID, 'a|i:1;'));

        self::assertSame('a|i:1;', $this->with(static fn (SessionFiles $files): string => (string) $files->read(self::ID)));
        self::assertSame(0600, fileperms($this->folder.'/sess_'.self::ID) & 0777);
        $this->with(static fn (SessionFiles $files): bool => $files->destroy(self::ID));
        self::assertSame('', $this->with(static fn (SessionFiles $files): string => (string) $files->read(self::ID)));
    }

    public function testOldOnesGo(): void
    {
        foreach ([self::ID => 100, 'z'.self::ID => 90] as $id => $age) {
            file_put_contents($this->folder.'/sess_'.$id, 'x');
            touch($this->folder.'/sess_'.$id, time() - $age);
        }
        $this->with(static fn (SessionFiles $files): int => $files->gc(95));

        self::assertFileDoesNotExist($this->folder.'/sess_'.self::ID);
        self::assertFileExists($this->folder.'/sess_z'.self::ID);
    }

    /** A write that finds no room (here: files of this process may not grow beyond half a kilobyte) leaves the session as it was. */
    public function testAWriteWithoutRoomLeavesTheOldSession(): void
    {
        $this->with(static fn (SessionFiles $files): bool => $files->write(self::ID, 'old|s:3:"yes";'));
        $script = \sprintf('require %s; $f = new App\Shared\SessionFiles(%s); $f->open("", "PHPSESSID"); $f->read(%3$s); $f->write(%3$s, '
            .'str_repeat("x", 100000)); $f->close();',
            var_export(\dirname(__DIR__, 3).'/vendor/autoload.php', true), var_export($this->folder, true), var_export(self::ID, true));
        (new Process(['bash', '-c', 'ulimit -f 1; trap "" XFSZ; exec "$0" -r "$1"', \PHP_BINARY, $script]))->run();

        self::assertSame('old|s:3:"yes";', file_get_contents($this->folder.'/sess_'.self::ID));
        self::assertFileDoesNotExist($this->folder.'/sess_'.self::ID.'.new');
    }

    /** Two requests of one session take turns. */
    public function testOneRequestOfASessionAtATime(): void
    {
        $script = \sprintf('require %s; $f = new App\Shared\SessionFiles(%s); $f->open("", "PHPSESSID"); $n = (int) $f->read(%3$s); '
            .'usleep(20000); $f->write(%3$s, (string) ($n + 1)); $f->close();',
            var_export(\dirname(__DIR__, 3).'/vendor/autoload.php', true), var_export($this->folder, true), var_export(self::ID, true));
        $together = array_map(static function () use ($script): Process {
            $process = new Process([\PHP_BINARY, '-r', $script]);
            $process->start();

            return $process;
        }, range(1, 6));
        array_map(static fn (Process $p): int => $p->wait(), $together);

        self::assertSame('6', file_get_contents($this->folder.'/sess_'.self::ID));
    }

    /**
     * @template T
     *
     * @param callable(SessionFiles): T $do
     *
     * @return T
     */
    private function with(callable $do): mixed
    {
        $files = new SessionFiles($this->folder);
        $files->open($this->folder, 'PHPSESSID');
        $done = $do($files);
        $files->close();

        return $done;
    }
}
