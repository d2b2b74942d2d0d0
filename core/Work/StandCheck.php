<?php

declare(strict_types=1);

namespace JollyFurrow\Work;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Spacing;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Time\Day;

/** One count on a metre after emergence: keep, patch or sow again, and until when sowing again still serves. */
final readonly class StandCheck
{
    /** Of the wanted stand: keep from, sow again below (common practice, no source). */
    private const KEEP = 0.75;
    private const SOW_AGAIN = 0.4;

    /**
     * @param float                            $wanted plants on a metre of bed
     * @param list<array{day: Day, last: Day}> $resow  market days it serves, and the last sowing day that still makes them
     */
    private function __construct(public float $wanted, public float $share, public StandAdvice $advice, public array $resow)
    {
    }

    /** @param list<Day> $marketDays it serves */
    public static function of(Garden $garden, Planting $planting, Crop $crop, float $counted, array $marketDays): self
    {
        $wanted = self::expected($garden, $planting, $crop);
        $share = min(1.0, $counted / $wanted);
        $ripening = $garden->timing()?->of($crop, Cover::usualOf($planting->place));
        $days = $crop->timing->daysNearest($planting->method);
        $resow = [];
        foreach ($marketDays as $day) {
            $last = null === $ripening ? $day->number - $days : $ripening->latestFor($day->number, $planting->method)?->sow;
            if (null !== $last && $last >= $garden->today->number) {
                $resow[] = ['day' => $day, 'last' => Day::of($last)];
            }
        }
        $advice = match (true) {
            $share >= self::KEEP => StandAdvice::Keep,
            $share >= self::SOW_AGAIN => Method::Sown === $planting->method && 'root' === $crop->habits->rotation ? StandAdvice::Keep
                : StandAdvice::Patch,
            [] === $resow => StandAdvice::TooLate,
            default => StandAdvice::SowAgain,
        };

        return new self($wanted, $share, $advice, $resow);
    }

    /**
     * Plants on a metre of its bed: as many as are to stand, but not more than come up of what is sown. Sowing distance and
     * final stand are two numbers.
     */
    private static function expected(Garden $garden, Planting $planting, Crop $crop): float
    {
        $stand = $crop->standFor($planting->method);
        $bed = $garden->bedsByName()[$planting->pieces[0]->bed ?? ''] ?? null;

        return Spacing::rowsOn($stand, $bed->width ?? $garden->usualWidth($planting->place)) * (Method::Sown === $planting->method
            ? $stand->expected() : $stand->plantsPerSpot / $stand->inRow->metres());
    }

    /** The nearest of the rough shares a note is kept in. */
    public function roughShare(): string
    {
        return (string) (round($this->share * 4) / 4);
    }
}
