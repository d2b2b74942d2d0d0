<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Climate\Cover;
use JollyFurrow\Climate\CoverCalendar;
use JollyFurrow\Climate\MonthlyMeans;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Time\Day;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\Working;

/** Why a sowing is ready on its day, month by month: how many days passed and how many catalogue days warmth and light made of them. */
final class ReadyWorking
{
    public static function of(Crop $crop, Method $method, LocalTiming $timing, Cover|CoverCalendar $cover, Ripeness $ripe, string $title = 'Ready'): Working
    {
        $covers = $cover instanceof Cover ? CoverCalendar::always($cover) : $cover;
        $ripening = $timing->of($crop, $covers);
        $model = Source::model('warmth and light of this place; docs/timing.md');
        $inputs = [Input::of('ground', 'into the ground', $ripe->ground, 'day', Source::garden('the planting'))];
        $sum = ['ground'];
        $from = $ripe->ground;
        if (Method::Sown === $method) {
            $inputs[] = Input::of('up', 'until it is up, by the warmth of the soil', $ripe->emerges - $ripe->ground, 'days', $crop->source('emergence'));
            $sum[] = 'up';
            $from = $ripe->emerges;
        }
        foreach (self::months($from, $ripe->ready) as $i => [$first, $last]) {
            $counted = $ripening->counted($first, $last);
            $inputs[] = Input::of('m'.$i, \sprintf('%s, which counted as %s catalogue days:', MonthlyMeans::MONTHS[Day::of($first)->month() - 1], number_format($counted, 1)), $last - $first, 'days', $model);
            $sum[] = 'm'.$i;
        }
        $inputs[] = Input::of('catalogue', 'catalogue days, '.$method->words().', with half the days over which it ripens', ($crop->timing->daysFor($method) ?? 0) + ($crop->pattern->isStock() ? intdiv($crop->timing->spread, 2) : 0), 'days', $crop->source(Method::Sown === $method ? 'days_sown' : 'days_transplanted'));
        foreach ($covers->spans as $i => $span) {
            $inputs[] = Input::of('on'.$i, $span['cover']->words().' from that day, until '.Day::of($span['to'])->iso().',', $span['from'], 'day', Source::garden('covers'));
        }
        $open = [] === $covers->spans && Cover::None === $covers->base ? null : $timing->of($crop, Cover::None)->fromGround($ripe->sow, $ripe->ground, $method);
        if (null !== $open) {
            $inputs[] = Input::of('open', \sprintf('without %s it would be ready', [] === $covers->spans ? $covers->base->words() : 'any cover'), $open->ready, 'day', $model);
        }

        return Working::of($title, $ripe->ready, 'day', 'day into the ground + the days that passed until warmth and light made the catalogue days of them', implode(' + ', $sum), $inputs, $model);
    }

    /** @return list<array{int, int}> from the first day to the last, cut where a month ends */
    private static function months(int $from, int $until): array
    {
        $months = [];
        while ($from < $until) {
            $day = Day::of($from);
            $next = 12 === $day->month() ? Day::fromDate($day->year() + 1, 1, 1) : Day::fromDate($day->year(), $day->month() + 1, 1);
            $last = min($until, $next->number);
            $months[] = [$from, $last];
            $from = $last;
        }

        return $months;
    }
}
