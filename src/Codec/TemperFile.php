<?php

declare(strict_types=1);

namespace App\Codec;

use JollyFurrow\Land\Quarantine;
use JollyFurrow\Land\Temper;
use JollyFurrow\Measure\Length;

/** Temper and quarantine of a bed in a file, and as they are stored. */
final class TemperFile
{
    /** @return array<string, mixed> only what is out of the usual */
    public static function temper(Temper $temper): array
    {
        $usual = new Temper();

        return array_filter([
            'wetness' => $temper->wetness === $usual->wetness ? null : $temper->wetness,
            'warmth' => $temper->warmth === $usual->warmth ? null : $temper->warmth,
            'weeds' => $temper->weeds === $usual->weeds ? null : $temper->weeds,
            'shade' => $temper->shade === $usual->shade ? null : $temper->shade,
            'pan_mm' => null === $temper->pan ? null : Millimetres::of($temper->pan->micrometres),
            'water' => $temper->hasWater ? null : false,
        ], static fn (mixed $value): bool => null !== $value);
    }

    /**
     * @param list<Quarantine> $quarantine
     *
     * @return list<array{family: string, until: string, why: string}>
     */
    public static function quarantine(array $quarantine): array
    {
        return array_map(static fn (Quarantine $q): array => ['family' => $q->family, 'until' => $q->until->iso(), 'why' => $q->why],
            $quarantine);
    }

    public static function readTemper(Node $node): Temper
    {
        $one = static function (string $field, array $allowed, string $usual) use ($node): string {
            $is = $node->has($field) ? $node->text($field, 20) : $usual;
            if (!\in_array($is, $allowed, true)) {
                $node->fault($field, 'is none of '.implode(', ', array_filter($allowed, is_string(...))).'.');

                return $usual;
            }

            return $is;
        };

        return new Temper($one('wetness', Temper::WETNESS, 'fair'), $one('warmth', Temper::WARMTH, 'fair'), $one('weeds', Temper::WEEDS,
            'few'), $one('shade', Temper::SHADE, 'none'), $node->has('pan_mm') ? Length::fromMicrometres($node->length('pan_mm', 20,
                2000)) : null,
            !$node->has('water') || $node->bool('water'));
    }

    /**
     * @param list<Node> $nodes
     *
     * @return list<Quarantine>
     */
    public static function readQuarantine(array $nodes): array
    {
        return array_map(static fn (Node $node): Quarantine => new Quarantine($node->text('family', 40), $node->day('until'),
            $node->text('why', 200, '/^/u')), $nodes);
    }
}
