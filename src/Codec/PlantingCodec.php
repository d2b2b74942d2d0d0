<?php

declare(strict_types=1);

namespace App\Codec;

use App\Shared\Row;
use JollyFurrow\Crop\Method;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Left;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Shelter\PlaceType;

/**
 * A planting as plain values and back: for the garden file, for an open proposal, for the answers of commands and for the
 * database. The one place that knows which field is called what.
 */
final class PlantingCodec
{
    /** Of the values; 2: remarks are messages. 1 is still read: remarks as texts. */
    public const VERSION = 2;

    /** Harvests of one planting, and days from its first to its last. */
    private const MOST_HARVESTS = 400;
    private const LONGEST_HARVEST = 400;
    private const MOST_CARE = 40;

    private const DATES = ['sow' => 'sow', 'ground' => 'ground', 'bed_start' => 'bedStart', 'ready' => 'ready', 'clear' => 'clear'];

    /** @return array<string, mixed> */
    public static function values(Planting $p): array
    {
        return [
            'key' => $p->key,
            'item' => $p->item,
            ...($p->variety === $p->item ? [] : ['variety' => $p->variety]),
            'method' => $p->method->value,
            'place' => $p->place->value,
            'recipe' => $p->recipe,
            ...array_map(static fn (string $date): string => $p->{$date}->iso(), self::DATES),
            'per_metre' => $p->perMetre,
            'standing' => $p->standing->value,
            'locked' => $p->locked,
            'remarks' => array_map(MessageCodec::values(...), $p->remarks),
            'pieces' => array_map(self::stretch(...), $p->pieces),
            ...(1.0 === $p->stand ? [] : ['stand' => $p->stand]),
            ...([] === $p->harvest ? [] : ['harvest' => self::days($p->harvest)]),
            ...([] === $p->careLeftOut ? [] : ['care_left_out' => $p->careLeftOut]),
            ...(null === $p->left ? [] : ['left' => ['share' => $p->left->share, 'since' => $p->left->since->iso()]]),
        ];
    }

    /**
     * Reads what values() wrote; faults go to the node. What the item, recipe and pieces are held against is the reader's.
     *
     * @param list<Stretch> $pieces
     */
    public static function read(Node $node, string $item, string $variety, string $recipe, PlaceType $place, array $pieces): Planting
    {
        $dates = array_map(static fn (string $field) => $node->day($field), array_combine(array_values(self::DATES),
            array_keys(self::DATES)));
        $isInOrder = $dates['sow']->number <= $dates['ground']->number && $dates['bedStart']->number <= $dates['ground']->number
            && $dates['ground']->number <= $dates['ready']->number && $dates['ready']->number <= $dates['clear']->number;
        if (!$isInOrder) {
            $node->fault('ready', 'does not lie in order: sow and bed_start come before ground, then ready, then clear.');
            $dates['clear'] = $dates['bedStart'];
        }

        return new Planting(
            $node->text('key', 100), $item, $node->choice('method', Method::class), $place, $recipe,
            $dates['sow'], $dates['ground'], $dates['bedStart'], $dates['ready'], $dates['clear'],
            $node->float('per_metre', 0, 10_000), $pieces, $node->choice('standing', Standing::class), $node->bool('locked'),
            self::remarks($node),
            $node->has('stand') ? $node->float('stand', 0, 1) : 1.0, self::left($node), $variety,
            self::harvest($node), $node->has('care_left_out') ? $node->texts('care_left_out', self::MOST_CARE) : [],
        );
    }

    /** @param list<Stretch> $pieces */
    public static function fromRow(Row $r, array $pieces): Planting
    {
        return new Planting(
            $r->text('key_name'), $r->text('item'), Method::from($r->text('method')), PlaceType::from($r->text('place')),
            $r->text('recipe'),
            $r->day('sow'), $r->day('ground'), $r->day('bed_start'), $r->day('ready'), $r->day('clear'),
            $r->float('per_metre'), $pieces, Standing::from($r->text('standing')), 0 !== $r->int('locked'),
            self::known($r->json('remarks')),
            $r->float('stand'), null === $r->optionalInt('left_since') ? null : new Left($r->float('left_share'),
                $r->day('left_since')), $r->text('variety'), self::byDay($r->optionalJson('harvest')),
            array_values(array_filter($r->optionalJson('care_left_out'), is_string(...))),
        );
    }

    /** @return array{bed: string, from_mm: int|float, to_mm: int|float, width_share: float} */
    public static function stretch(Stretch $stretch): array
    {
        return ['bed' => $stretch->bed, 'from_mm' => Millimetres::of($stretch->from), 'to_mm' => Millimetres::of($stretch->to),
            'width_share' => $stretch->widthShare];
    }

    /** @return list<Message> */
    private static function remarks(Node $node): array
    {
        $stored = $node->list('remarks', 50);
        $known = self::known($stored);
        if (\count($known) < \count($stored)) {
            $node->fault('remarks', 'holds something that is neither a text nor a remark this version knows.');
        }

        return $known;
    }

    /**
     * @param array<mixed> $stored
     *
     * @return list<Message>
     */
    private static function known(array $stored): array
    {
        return array_values(array_filter(array_map(MessageCodec::read(...), $stored)));
    }

    /**
     * @param array<int, float> $harvest share by days after ready
     *
     * @return list<array{int, float}>
     */
    public static function days(array $harvest): array
    {
        return array_map(static fn (int $after, float $share): array => [$after, $share], array_keys($harvest), array_values($harvest));
    }

    /** @return array<int, float> */
    private static function harvest(Node $node): array
    {
        $stored = $node->has('harvest') ? $node->list('harvest', self::MOST_HARVESTS) : [];
        $harvest = self::byDay($stored);
        if (\count($harvest) < \count($stored)) {
            $node->fault('harvest', 'must be pairs of days after ready, rising from 0, and share of the yield.');
        }

        return $harvest;
    }

    /**
     * @param array<mixed> $stored
     *
     * @return array<int, float>
     */
    private static function byDay(array $stored): array
    {
        $harvest = [];
        foreach ($stored as $pair) {
            if (\is_array($pair) && \is_int($pair[0] ?? null) && is_numeric($pair[1] ?? null) && $pair[0] >= 0
                && $pair[0] <= self::LONGEST_HARVEST && $pair[1] >= 0 && $pair[1] <= 1) {
                $harvest[$pair[0]] = (float) $pair[1];
            }
        }

        return $harvest;
    }

    private static function left(Node $node): ?Left
    {
        return $node->has('left') ? new Left($node->object('left')->float('share', 0, 1), $node->object('left')->day('since')) : null;
    }
}
