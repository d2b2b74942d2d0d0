<?php

declare(strict_types=1);

namespace JollyFurrow\Architecture;

/**
 * The rooms of a source tree (the folder below its root) and the arrows between them, read from namespaces, imports and full names.
 *
 * @phpstan-type Arrows array<string, array<string, list<string>>>
 */
final readonly class Rooms
{
    /**
     * @param Arrows             $arrows room => room it uses => "Class > Class"
     * @param array<string, int> $files  room => number of files
     */
    private function __construct(public array $arrows, public array $files)
    {
    }

    public static function below(string $folder, string $root): self
    {
        $sources = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file instanceof \SplFileInfo && 'php' === $file->getExtension()) {
                $sources[$file->getPathname()] = (string) file_get_contents($file->getPathname());
            }
        }
        ksort($sources);

        return self::of($sources, $root);
    }

    /** @param array<string, string> $sources path => PHP */
    public static function of(array $sources, string $root): self
    {
        $arrows = $files = [];
        foreach ($sources as $path => $source) {
            $room = 1 === preg_match('~^namespace '.$root.'\\\\(\w+)~m', $source, $found) ? $found[1] : null;
            if (null === $room) {
                continue;
            }
            $files[$room] = ($files[$room] ?? 0) + 1;
            $arrows[$room] ??= [];
            preg_match_all('~(?:^use |\\\\)'.$root.'\\\\(\w+)((?:\\\\\w+)*)~m', $source, $uses, \PREG_SET_ORDER);
            foreach ($uses as [, $other, $rest]) {
                if ($other !== $room && '' !== $rest) {
                    $arrows[$room][$other][] = basename($path, '.php').' > '.substr($rest, (int) strrpos($rest, '\\') + 1);
                }
            }
        }

        return new self($arrows, $files);
    }

    /**
     * Rooms that use nothing but rooms before them, in order; what stands in a circle is left out.
     *
     * @return list<string>
     */
    public function order(): array
    {
        $order = [];
        $left = $this->arrows;
        do {
            $next = array_keys(array_filter($left, static fn (array $uses): bool => [] === array_diff(array_keys($uses), $order)));
            $order = [...$order, ...$next];
            $left = array_diff_key($left, array_flip($next));
        } while ([] !== $next);

        return $order;
    }

    /**
     * Arrows that point to a room later in the order, or to none of it.
     *
     * @param list<string> $order
     *
     * @return list<string> "Plan > Why: Planner > Mending"
     */
    public function against(array $order): array
    {
        $place = array_flip($order);
        $faults = [];
        foreach ($this->arrows as $room => $uses) {
            foreach ($uses as $other => $classes) {
                if (!isset($place[$room], $place[$other]) || $place[$other] >= $place[$room]) {
                    $faults[] = "$room > $other: ".implode(', ', array_unique($classes));
                }
            }
        }

        return $faults;
    }

    /** "Exception 2 · Measure 9 · ..." and, where there are any, the arrows of the rooms in a circle. */
    public function told(): string
    {
        $order = $this->order();
        $line = implode(' · ', array_map(fn (string $room): string => $room.' '.$this->files[$room], $order));
        $circle = array_diff_key($this->arrows, array_flip($order));

        return $line.([] === $circle ? '' : "\nin circles: ".implode(', ', array_keys($circle)));
    }
}
