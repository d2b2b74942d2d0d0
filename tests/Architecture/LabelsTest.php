<?php

declare(strict_types=1);

namespace JollyFurrow\Architecture;

use PHPUnit\Framework\TestCase;

/** One word for one thing: what was called otherwise before is not called so again, on a button, a page or in a message. */
final class LabelsTest extends TestCase
{
    /** @var array<string, string> by the old words: the new */
    private const OLD = [
        'Keep this' => 'Save', 'Keep these' => 'Save', 'Keep the ' => 'Save', '>Keep<' => 'Save', 'Keep, and' => 'Save and re-date',
        'See what it' => 'Show what changes', 'Drop the list' => 'Discard', 'Take none' => 'Discard', 'drop it<' => 'Discard',
        'Take it away' => 'Delete', 'Back to the book' => 'Reset to book values',
        '>What stands<' => 'In the ground', '>Beds ahead' => 'Bed preparation', 'Plan forward' => 'Repeat sowings', '>Log<' => 'History',
        'The garden as a file' => 'Backup', 'Place and settings<' => 'Settings', 'Come up' => 'Emerged', 'Looks bad' => 'Damage or loss',
        'would mend it<' => 'ways to fix this', 'What a bent rule' => 'Rules not kept', 'are wished for' => 'your gap is',
        'Served as number' => 'Priority', 'Picking opens, days' => 'Pick at most … days ahead',
            'A week of bed' => 'Value of a length of bed per week',
        'A day of waiting' => 'Value lost per day held', 'opens nothing any more' => 'has expired',
    ];

    public function testNoOldWords(): void
    {
        $found = [];
        foreach (['templates' => ['twig'], 'translations' => ['yaml'], 'src' => ['php']] as $folder => $kinds) {
            $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(\dirname(__DIR__, 2).'/'.$folder,
                \FilesystemIterator::SKIP_DOTS));
            foreach ($files as $file) {
                if ($file instanceof \SplFileInfo && \in_array($file->getExtension(), $kinds, true)) {
                    $text = (string) preg_replace('~^\s*(//|\*|/\*).*$|\s+~m', ' ', (string) file_get_contents($file->getPathname()));
                    foreach (self::OLD as $old => $new) {
                        if (str_contains($text, $old)) {
                            $found[] = $file->getFilename().': '.$old.' … is '.$new;
                        }
                    }
                }
            }
        }

        self::assertSame([], $found);
    }
}
