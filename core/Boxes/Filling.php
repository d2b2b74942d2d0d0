<?php

declare(strict_types=1);

namespace JollyFurrow\Boxes;

use JollyFurrow\Boxes\Kernel\BoxSearch;

/**
 * What goes into this week's boxes: what is used best before it is lost, each box worth its price, and no group given an item
 * before those of its size that had it less often. A greedy filling, then a tabu search in four runs, each from the best so far.
 */
final readonly class Filling
{
    /**
     * @param array<string, list<string>> $contents items by class
     * @param array<string, float>        $worth    cents of a box, by class
     * @param array<string, int>          $left     units of each item nobody gets
     * @param float                       $score    in cents; what it is searched by
     */
    private function __construct(public array $contents, public array $worth, public array $left, public float $score)
    {
    }

    /**
     * @param list<BoxItem>  $items
     * @param list<BoxClass> $classes
     */
    public static function of(array $items, array $classes): self
    {
        $search = new BoxSearch($items, $classes);
        $in = $search->best();
        $contents = $worth = [];
        $left = array_combine(array_map(static fn (BoxItem $i): string => $i->key, $items),
            array_map(static fn (BoxItem $i): int => $i->units,
                $items));
        foreach ($classes as $c => $class) {
            $contents[$class->key()] = [];
            $worth[$class->key()] = 0.0;
            foreach ($items as $i => $item) {
                if ($in[$i][$c]) {
                    $contents[$class->key()][] = $item->key;
                    $worth[$class->key()] += $item->in($class->size) * $item->cents;
                    $left[$item->key] -= $item->in($class->size) * $class->boxes;
                }
            }
        }

        return new self($contents, $worth, $left, $search->score());
    }
}
