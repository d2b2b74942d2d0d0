<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Growth\GrowthSums;
use JollyFurrow\Message\Message;
use JollyFurrow\Shelter\CoverCalendar;

/**
 * When a crop is ready here: forward from a sowing, backward from a wanted day. Catalogue days are counted in days as
 * warm and light as the reference; emergence goes by the soil, the nursery by its own warmth and light. Catalogue days
 * from planting out include the usual check after it. What stands against it is told with it.
 */
final class Ripening
{
    /** Nothing takes longer from seed to harvest, but for perennials. Days. */
    private const LONGEST = 550;
    /** The soil of a mild day in the sun is a little warmer than its air: the emergence that is in the catalogue's days. Degrees C. */
    private const SOIL_WARMER = 1.0;
    /** On the mats until it is up: the soil of a warm bench, degrees C. */
    private const MATS = 20.0;
    private readonly int $first;
    /** @var list<float>|null worked out when first asked for, like the others below */
    private ?array $development = null;
    /** @var list<float>|null */
    private ?array $emergence = null;
    /** @var array<string, array<int, int>> ready day by method and sowing day, as far as it was asked for */
    private array $readyOn = [];
    private readonly float $emergenceInCatalogue;
    private Anchor|false|null $anchor = null;
    private Bulbs|false|null $bulbs = null;
    private ?Hazards $hazards = null;
    private ?Usual $usual = null;
    /** @var array{int, int, Method}|null sowing day, day into the ground, method: what was asked last */
    private ?array $asked = null;
    private ?Ripeness $answer = null;
    private ?RipeningAnswers $answers = null;

    public function __construct(private readonly Crop $crop, private readonly LocalTiming $timing, private readonly CoverCalendar $cover)
    {
        $growth = $crop->growth;
        $this->first = $timing->weather->first;
        $this->emergenceInCatalogue = $crop->habits->stock->isSeed() ? $growth->emergence->daysAt($growth->reference + self::SOIL_WARMER)
            ?? 0.0 : 0.0;
    }

    /** What can be counted on; null: it does not come up, is not ready in the years the weather is known for, or is too likely to fail. */
    public function forward(int $sow, Method $method): ?Ripeness
    {
        $ripe = $this->whatever($sow, $method);

        return null !== $ripe && $ripe->isPossible() ? $ripe : null;
    }

    /** The same with what stands against it; null: it comes to nothing at all. */
    public function whatever(int $sow, Method $method): ?Ripeness
    {
        $ground = Method::Sown === $method ? $sow : $this->outOfTheNursery($sow);

        return null === $this->crop->timing->daysFor($method) || null === $ground ? null : $this->fromGround($sow, $ground, $method);
    }

    /** Why what went into the ground on that day comes to nothing at all. */
    public function notReady(int $ground, Method $method): Message
    {
        return $this->inTheSoil($ground, $method) ?? $this->bulbs()?->against() ?? Message::of(Against::NotReadyInTime);
    }

    /** What the soil of that day says against it; null: nothing. */
    public function inTheSoil(int $ground, Method $method): ?Message
    {
        return $this->hazards()->ground($ground, $method);
    }

    /** What makes a possible sowing one that nobody here would plan; null: it is usual. */
    public function unusual(Ripeness $ripe, Method $method): ?Message
    {
        $usual = $this->usual ??= new Usual($this->crop, $this, $this->timing);
        $key = $ripe->sow.'/'.$ripe->ground.$method->value;
        if (null === $this->answers || $ripe !== ($this->answers->ripe[$key] ?? null)) {
            return $usual->against($ripe, $method);
        }
        if (!\array_key_exists($key, $this->answers->unusual)) {
            $this->answers->unusual[$key] = $usual->against($ripe, $method);
            $this->answers->isGrown = true;
        }

        return $this->answers->unusual[$key];
    }

    /** Day the plants of a tray are fit to go out; null: by then they have outgrown their cells. */
    public function outOfTheNursery(int $sow): ?int
    {
        $out = GrowthSums::reached($this->timing->bench($this->crop->growth), $this->first, $sow,
            (float) $this->crop->timing->nurseryDays);

        return null === $out || $out - $sow > $this->crop->stand->greatestAge($this->crop->timing->nurseryDays) ? null : $out;
    }

    /** From the day it went, or goes, into the ground. Asked the same again, as is usual, it is not reckoned again. */
    public function fromGround(int $sow, int $ground, Method $method): ?Ripeness
    {
        $answers = $this->answers ??= $this->timing->memory?->answers($this->timing->key().$this->crop->fingerprint().$this->cover->key());
        if (null !== $answers) {
            $key = $sow.'/'.$ground.$method->value;
            if (!\array_key_exists($key, $answers->ripe)) {
                $answers->ripe[$key] = $this->reckoned($sow, $ground, $method);
                $answers->isGrown = true;
            }

            return $answers->ripe[$key];
        }
        if ([$sow, $ground, $method] !== $this->asked) {
            $this->asked = [$sow, $ground, $method];
            $this->answer = $this->reckoned($sow, $ground, $method);
        }

        return $this->answer;
    }

    private function reckoned(int $sow, int $ground, Method $method): ?Ripeness
    {
        $catalogue = (float) $this->crop->timing->daysNearest($method);
        if (Method::Transplanted === $method || !$this->crop->habits->stock->isSeed()) {
            $emerges = Method::Transplanted === $method ? $sow + (int) ceil($this->crop->growth->emergence->daysAt(self::MATS) ?? 0.0)
                : $ground;

            return $this->fromStage($sow, $ground, $emerges, $ground, $catalogue, $this->hazards()->ground($ground, $method));
        }
        $emerges = $this->emerges($ground);
        if (null === $emerges) {
            return null;
        }
        $never = $this->hazards()->ground($ground, $method) ?? $this->hazards()->seed($ground, $emerges);

        return $this->fromStage($sow, $ground, $emerges, $emerges, max(1.0, $catalogue - $this->emergenceInCatalogue), $never);
    }

    /** Day a sowing in the bed is up; what is no seed is up when it stands. */
    public function emerges(int $ground): ?int
    {
        return $this->crop->habits->stock->isSeed() ? GrowthSums::reached($this->emergence ??= $this->timing->emergence($this->crop,
            $this->cover), $this->first, $ground, 1.0) : $ground;
    }

    /** From a stage seen with one's own eyes: so many reference days are still to come from that day on. */
    public function fromStage(int $sow, int $ground, int $emerges, int $stage, float $toCome, ?Message $never = null): ?Ripeness
    {
        $spread = $this->crop->pattern->isStock() ? intdiv($this->crop->timing->spread, 2) : 0;
        $bulb = $this->bulbs()?->from($stage, $toCome);
        if (null !== $this->bulbs() && null === $bulb) {
            return null;
        }
        $fit = match (true) {
            null !== $this->anchor() => $this->anchor()->harvest($ground),
            null !== $bulb => $this->after($bulb->begins, Bulbs::SWELLS * $toCome),
            default => $this->after($stage, $toCome),
        };
        $ready = null === $fit || null !== $this->anchor() ? $fit : $this->after($fit, (float) $spread);

        return null === $fit || null === $ready ? null : $this->hazards()->ripeness(new Course($sow, $emerges, $ground, $stage, $toCome,
            $fit, $ready, $this->anchor()?->ends($ground)), $bulb, $never ?? $this->anchor()?->against($ground));
    }

    /** Reference days from the day it stands in the ground (sown: from emergence) to the first harvest. */
    public function toCome(Method $method): float
    {
        $catalogue = (float) $this->crop->timing->daysNearest($method);

        return Method::Sown === $method ? max(1.0, $catalogue - $this->emergenceInCatalogue) : $catalogue;
    }

    /** Catalogue days that warmth and light make of the days from one to another. */
    public function counted(int $from, int $until): float
    {
        $last = \count($this->development()) - 1;
        $at = fn (int $day): float => $this->development()[max(0, min($last, $day - $this->first))];

        return $at($until) - $at($from);
    }

    /** The day so many catalogue days after another; null: not in the years the weather is known for. */
    public function after(int $day, float $catalogueDays): ?int
    {
        return GrowthSums::reached($this->development(), $this->first, $day, $catalogueDays);
    }

    /**
     * Days of its harvest on which it can be taken: not in heat that makes it bitter or barren, nor roots out of frozen soil.
     *
     * @return list<int>
     */
    public function harvestDays(Ripeness $ripe): array
    {
        return $this->hazards()->harvestDays($ripe);
    }

    /** The day by which frost spoils what stands ripe on another, in that share of years; null: none does. */
    public function frozenBy(int $from, float $share): ?int
    {
        return $this->hazards()->frozenBy($from, -log(1 - $share));
    }

    /** Share of a picking left by the heat of its days. */
    public function leftByHeat(int $day): float
    {
        return $this->hazards()->leftByHeat($day);
    }

    /**
     * The latest sowing that is ready on a wanted day or before; null: no sowing of a year and a half before it is.
     * It holds that ready(S) <= wanted < ready(S + 1). Day by day backward, for a sowing that frost ends may lie between
     * two that ripen.
     */
    public function latestFor(int $wanted, Method $method): ?Ripeness
    {
        for ($sow = $wanted; $sow >= max($this->first, $wanted - self::LONGEST); --$sow) {
            $ready = $this->readyOn[$method->value][$sow] ??= $this->forward($sow, $method)->ready ?? \PHP_INT_MAX;
            if ($ready <= $wanted) {
                return $this->forward($sow, $method);
            }
        }

        return null;
    }

    /** @return list<float> */
    private function development(): array
    {
        return $this->development ??= $this->timing->development($this->crop->growth, $this->cover);
    }

    private function anchor(): ?Anchor
    {
        $this->anchor ??= $this->crop->growth->anchored && null !== $this->crop->rhythm->harvest
            ? new Anchor($this->crop, $this->timing, $this->cover) : false;

        return $this->anchor ?: null;
    }

    private function bulbs(): ?Bulbs
    {
        $hours = $this->crop->growth->bulbHours;
        $this->bulbs ??= null === $hours || null !== $this->anchor() ? false
            : new Bulbs($hours, $this->timing->sun, $this->development(), $this->first, $this->timing->chill($this->cover));

        return $this->bulbs ?: null;
    }

    private function hazards(): Hazards
    {
        return $this->hazards ??= new Hazards($this->crop, $this->timing, $this->cover, $this->development());
    }
}
