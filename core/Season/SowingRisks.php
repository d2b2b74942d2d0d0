<?php

declare(strict_types=1);

namespace JollyFurrow\Season;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Growth\Germination;
use JollyFurrow\Maturity\Against;
use JollyFurrow\Maturity\LocalTiming;
use JollyFurrow\Maturity\Ripeness;
use JollyFurrow\Maturity\Ripening;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Message\Message;
use JollyFurrow\Time\Day;

/**
 * What stands against a sowing at one place, and what it has to put up with: why it cannot be counted on, why nobody
 * there would plan it, and losses that are told. That ten hours of day are the least plants grow in is common practice.
 */
final readonly class SowingRisks
{
    private const WEEK = 7;
    private const LEAST_HOURS = 10.0;
    /** Odds and losses below this are not worth a word. */
    private const WORTH_A_WORD = 0.05;
    private const HEAT_WORTH_A_WORD = 0.15;

    public function __construct(private Crop $crop, private Method $method, private Ripening $ripening, private LocalTiming $timing)
    {
    }

    /** @return array<string, Message> by Risk */
    public function of(int $sow, ?Ripeness $ripe): array
    {
        if (null === $ripe) {
            return self::byRisk([$this->ripening->notReady($sow, $this->method)]);
        }

        return self::byRisk([$ripe->never, $this->ripening->unusual($ripe, $this->method), $this->germinates($ripe), $this->frost($ripe),
            $this->heat($ripe), $this->light($ripe)]);
    }

    private function germinates(Ripeness $ripe): ?Message
    {
        return $ripe->germinates >= Germination::MORE_SEED_BELOW ? null
            : Message::of(Against::MoreSeed, share: Quantity::of($ripe->germinates, Unit::Share));
    }

    private function frost(Ripeness $ripe): ?Message
    {
        return $ripe->frozen < self::WORTH_A_WORD ? null
            : Message::of(Against::Frost, odds: Quantity::of($ripe->frozen, Unit::Share), ready: Day::of($ripe->ready));
    }

    private function heat(Ripeness $ripe): ?Message
    {
        $loss = $this->crop->limits->heat?->loss($ripe->hot) ?? 0.0;

        return $loss < self::HEAT_WORTH_A_WORD ? null : Message::of(Against::HotDays, share: Quantity::of($ripe->hot, Unit::Share),
            loss: Quantity::of($loss, Unit::Share));
    }

    private function light(Ripeness $ripe): ?Message
    {
        $dark = 0;
        for ($day = $ripe->ground; !$this->crop->growth->anchored && $day < $ripe->ready; ++$day) {
            $dark += $this->timing->hoursOn($day) < self::LEAST_HOURS ? 1 : 0;
        }

        return $dark >= self::WEEK ? Message::of(Against::StandsStill, days: $dark) : null;
    }

    /**
     * @param list<Message|null> $messages what weighs most first
     *
     * @return array<string, Message>
     */
    private static function byRisk(array $messages): array
    {
        $byRisk = [];
        foreach (array_filter($messages) as $message) {
            if ($message->code instanceof Against) {
                $byRisk[$message->code->risk()->value] ??= $message;
            }
        }

        return $byRisk;
    }
}
