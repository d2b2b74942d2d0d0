<?php

declare(strict_types=1);

namespace JollyFurrow\Lime;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Soil\BedSoil;
use JollyFurrow\Soil\Salts;
use JollyFurrow\Soil\SoilLevel;
use JollyFurrow\Soil\SoilTest;

/** What the tests say that somebody has to act on, block by block. */
final readonly class SoilSigns
{
    /** Salt that takes less than this of a harvest is not told. */
    private const LEAST_LOSS = 0.1;
    /** A probe that stands above this depth met a pan, mm (common practice: within 35 cm). */
    private const PAN = 350.0;

    /** @return list<SoilSign> in walking order, the weightiest first within a block */
    public static function of(Garden $garden, CropBook $crops): array
    {
        $found = [];
        foreach ([] === $garden->soil->tests ? [] : $garden->bedsInUse() as $bed) {
            $soil = $garden->soil->soilOf($bed, $garden->today);
            $planned = self::planned($garden, $crops, $bed);
            foreach (self::kinds($garden, $bed, $soil, $planned) as $kind => $sign) {
                $found[$bed->block][$kind][] = $sign;
            }
        }
        $signs = [];
        foreach ($garden->blocks as $block) {
            foreach (SoilSignKind::cases() as $kind) {
                $of = $found[$block][$kind->value] ?? [];
                $signs = [] === $of ? $signs : [...$signs, self::together($kind, $block, $of)];
            }
        }

        return $signs;
    }

    /** Lime or sulphur for what is planned on a bed from now on; null: none is wanted. */
    public static function lime(Garden $garden, CropBook $crops, Bed $bed): ?LimeNeed
    {
        return LimeNeed::of($garden->soil->soilOf($bed, $garden->today), $bed->area(), PhTarget::of(self::planned($garden, $crops,
            $bed))->ph);
    }

    /** @return list<Crop> what stands and is planned on a bed */
    public static function planned(Garden $garden, CropBook $crops, Bed $bed): array
    {
        $on = $garden->plantings->where(static fn (Planting $p): bool => !$p->clear->isBefore($garden->today)
            && [] !== array_filter($p->pieces, static fn (Stretch $s): bool => $s->bed === $bed->name))->all();

        return array_values(array_map(static fn (Planting $p): Crop => $crops->grown($p->item, $p->variety), $on));
    }

    /**
     * @param list<Crop> $planned
     *
     * @return array<string, SoilSign> by kind
     */
    private static function kinds(Garden $garden, Bed $bed, BedSoil $soil, array $planned): array
    {
        $signs = [];
        $add = static function (SoilSign $sign) use (&$signs): void {
            $signs[$sign->kind->value] = $sign;
        };
        if (SoilLevel::VeryHigh === $soil->p && null !== $soil->test) {
            $add(new SoilSign(SoilSignKind::MuchPhosphorus, $bed->block, [$bed->name]));
        }
        $worst = null;
        foreach ($planned as $crop) {
            $worst = null === $worst || Salts::loss($crop->item(), $soil->salt ?? 0.0) > Salts::loss($worst->item(), $soil->salt ?? 0.0)
                ? $crop : $worst;
        }
        $loss = Salts::loss(null === $worst ? '' : $worst->item(), $soil->salt ?? 0.0);
        if ($loss >= self::LEAST_LOSS) {
            $add(new SoilSign(SoilSignKind::Salty, $bed->block, [$bed->name], salt: $soil->salt, crop: $worst, loss: $loss));
        }
        $lime = LimeNeed::of($soil, $bed->area(), PhTarget::of($planned)->ph);
        if (null !== $lime) {
            $add(new SoilSign(LimeKind::Lime === $lime->kind ? SoilSignKind::Acid : SoilSignKind::Alkaline, $bed->block, [$bed->name],
                $lime,
                $lime->kg));
        }
        if ($soil->isOld) {
            $add(new SoilSign(SoilSignKind::OldTest, $bed->block, [$bed->name]));
        }
        $pan = array_values(array_filter($garden->soil->testsOf($bed, $garden->today), static fn (SoilTest $t): bool => null !== $t->pan));
        if ([] !== $pan && null !== $pan[0]->pan && $pan[0]->pan->millimetres() < self::PAN) {
            $add(new SoilSign(SoilSignKind::HardPan, $bed->block, [$bed->name]));
        }

        return $signs;
    }

    /** @param non-empty-list<SoilSign> $of */
    private static function together(SoilSignKind $kind, string $block, array $of): SoilSign
    {
        $most = $of[0];
        foreach ($of as $sign) {
            $most = [$sign->loss, $sign->kg] > [$most->loss, $most->kg] ? $sign : $most;
        }

        return new SoilSign($kind, $block, array_merge(...array_map(static fn (SoilSign $s): array => $s->beds, $of)), $most->lime,
            array_sum(array_map(static fn (SoilSign $s): float => $s->kg, $of)), $most->salt, $most->crop, $most->loss);
    }
}
