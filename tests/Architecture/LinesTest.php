<?php

declare(strict_types=1);

namespace JollyFurrow\Architecture;

use PHPUnit\Framework\TestCase;

/** Lines that fit a window: at most 160 characters of a template, 140 of PHP. What is longer still may only become less. */
final class LinesTest extends TestCase
{
    private const TEMPLATE = 160;
    private const PHP = 140;
    /** Lines still longer, by folder: mostly sentences in one piece. Lower a number when it falls; never raise one. */
    private const STILL = ['core' => 44, 'src' => 65, 'tests' => 52];

    public function testTemplates(): void
    {
        self::assertSame([], self::longer('templates', 'twig', self::TEMPLATE));
    }

    public function testPhp(): void
    {
        foreach (self::STILL as $folder => $still) {
            $found = self::longer($folder, 'php', self::PHP);
            self::assertLessThanOrEqual($still, \count($found), "$folder, longer than allowed:\n".implode("\n", $found));
            self::assertGreaterThanOrEqual($still, \count($found), "$folder has fewer now: lower the number in this test.");
        }
    }

    /** @return list<string> places */
    private static function longer(string $folder, string $extension, int $most): array
    {
        $found = [];
        $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(\dirname(__DIR__, 2).'/'.$folder,
            \FilesystemIterator::SKIP_DOTS));
        foreach ($files as $file) {
            if (!$file instanceof \SplFileInfo || $extension !== $file->getExtension()) {
                continue;
            }
            foreach (explode("\n", (string) file_get_contents($file->getPathname())) as $n => $line) {
                if (mb_strlen($line) > $most) {
                    $found[] = \sprintf('%s:%d', $file->getFilename(), $n + 1);
                }
            }
        }

        return $found;
    }
}
