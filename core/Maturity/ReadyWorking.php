<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Message\Message;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\CoverCalendar;
use JollyFurrow\Time\Day;
use JollyFurrow\Working\From;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Label;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\Sum;
use JollyFurrow\Working\Working;

/** Why a sowing is ready on its day, month by month: how many days passed and how many catalogue days warmth and light made of them. */
final class ReadyWorking
{
    public static function of(Crop $crop, Method $method, LocalTiming $timing, Cover|CoverCalendar $cover, Ripeness $ripe,
        Sum $sum = Sum::Ready): Working
    {
        $covers = $cover instanceof Cover ? CoverCalendar::always($cover) : $cover;
        $ripening = $timing->of($crop, $covers);
        $model = Source::model(From::WarmthAndLight);
        $inputs = [Input::of('ground', $ripe->ground, Unit::Date, Source::garden(From::ThePlanting))];
        $terms = ['ground'];
        $from = $ripe->ground;
        if (Method::Sown === $method) {
            $inputs[] = Input::of('up', $ripe->emerges - $ripe->ground, Unit::Day, $crop->source('emergence'));
            $terms[] = 'up';
            $from = $ripe->emerges;
        }
        foreach (self::months($from, $ripe->ready) as $i => [$first, $last]) {
            $counted = $ripening->counted($first, $last);
            $label = Message::of(Label::MonthCounted, month: Day::of($first)->month(), counted: Quantity::of(round($counted, 1),
                Unit::Day));
            $inputs[] = Input::of('m'.$i, $last - $first, Unit::Day, $model, $label);
            $terms[] = 'm'.$i;
        }
        $catalogue = $crop->timing->daysNearest($method) + ($crop->pattern->isStock() ? intdiv($crop->timing->spread, 2) : 0);
        $inputs[] = Input::of('catalogue', $catalogue, Unit::Day, $crop->daysSource($method),
            Message::of(Label::CatalogueDaysWithSpread, method: $method));
        foreach ($covers->spans as $i => $span) {
            $label = Message::of(Label::UnderCover, cover: $span['cover'], until: Day::of($span['to']));
            $inputs[] = Input::of('on'.$i, $span['from'], Unit::Date, Source::garden(From::Covers), $label);
        }
        $open = [] === $covers->spans && Cover::None === $covers->base ? null : $timing->of($crop, Cover::None)->fromGround($ripe->sow,
            $ripe->ground, $method);
        if (null !== $open) {
            $label = [] === $covers->spans ? Message::of(Label::WithoutCover, cover: $covers->base) : Message::of(Label::WithoutAnyCover);
            $inputs[] = Input::of('open', $open->ready, Unit::Date, $model, $label);
        }

        return Working::of($sum, $ripe->ready, Unit::Date, implode(' + ', $terms), $inputs, $model);
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
