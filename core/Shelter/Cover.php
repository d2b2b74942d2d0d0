<?php

declare(strict_types=1);

namespace JollyFurrow\Shelter;

/**
 * What stands over a crop, and what it does to minimum, maximum and light (own model from common practice: a floating
 * cover is worth one to two degrees at night, a tunnel with a cover inside a good deal more).
 */
enum Cover: string
{
    /** A tunnel stays so much warmer than outside in summer, even aired, degrees C. */
    private const AIRED_WARMER = 3.0;
    /** Light under it at which a tunnel is as warm as it gets, MJ m-2. */
    private const BRIGHT = 10.0;

    case None = 'none';
    case RowCover = 'row-cover';
    case LowTunnel = 'low-tunnel';
    case Tunnel = 'tunnel';
    case TunnelCovered = 'tunnel-covered';
    case Heated = 'heated';

    /** Degrees C warmer at night. */
    public function atNight(): float
    {
        return match ($this) {
            self::None => 0.0,
            self::RowCover => 1.5,
            self::LowTunnel => 2.0,
            self::Tunnel => 2.0,
            self::TunnelCovered => 5.0,
            self::Heated => 4.0,
        };
    }

    /** It is opened when it gets warmer under it than this, but stays warmer than outside, degrees C. */
    public function aired(float $outside): float
    {
        return match ($this) {
            self::None => $outside,
            self::RowCover => max(25.0, $outside),
            self::LowTunnel => max(27.0, $outside),
            self::Tunnel, self::TunnelCovered, self::Heated => max(27.0, $outside + self::AIRED_WARMER),
        };
    }

    /** Degrees C warmer at the warmest of the day, while it stays closed; by the light under it, MJ m-2. */
    public function byDay(float $light): float
    {
        return match ($this) {
            self::None => 0.0,
            self::RowCover => 2.0,
            self::LowTunnel => 4.0,
            self::Tunnel, self::TunnelCovered, self::Heated => 8.0 * min(1.0, $light / self::BRIGHT),
        };
    }

    /** Share of the light that comes through. */
    public function light(): float
    {
        return match ($this) {
            self::None => 1.0,
            self::RowCover => 0.85,
            self::LowTunnel => 0.8,
            self::Tunnel => 0.8,
            self::TunnelCovered => 0.75,
            self::Heated => 0.75,
        };
    }

    /** Not colder than this: the heater sees to it. Degrees C. */
    public function floor(): float
    {
        return self::Heated === $this ? 6.0 : -\INF;
    }

    /** Share of the rain that reaches the soil. */
    public function rain(): float
    {
        return match ($this) {
            self::None, self::RowCover => 1.0,
            self::LowTunnel, self::Tunnel, self::TunnelCovered, self::Heated => 0.0,
        };
    }

    /** What the two are together when another cover is put on inside this one. */
    public function under(self $inner): self
    {
        return match (true) {
            self::None === $inner || self::Heated === $this => $this,
            self::Tunnel === $this && \in_array($inner, [self::RowCover, self::LowTunnel, self::TunnelCovered],
                true) => self::TunnelCovered,
            self::TunnelCovered === $this && self::Heated !== $inner => $this,
            default => $inner,
        };
    }

    public static function usualOf(PlaceType $place): self
    {
        return match ($place) {
            PlaceType::Field => self::None,
            PlaceType::Tunnel => self::Tunnel,
            PlaceType::Heated => self::Heated,
        };
    }
}
