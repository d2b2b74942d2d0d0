<?php

declare(strict_types=1);

namespace App\File;

use App\Codec\ClimateFile;
use App\Codec\DiaryFile;
use App\Codec\MapFile;
use App\Codec\MarketFile;
use App\Codec\Millimetres;
use App\Codec\PlanRulesFile;
use App\Codec\PlantingCodec;
use App\Codec\RecipeReader;
use App\Codec\SoilFile;
use App\Codec\StoreFile;
use App\Codec\TemperFile;
use JollyFurrow\Book\OwnValue;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Promise\MarketDays;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Part;
use JollyFurrow\Promise\Product;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Time\Period;
use JollyFurrow\Time\Weekday;

/** Writes a garden file: the reader's inverse. */
final class GardenWriter
{
    public function write(Garden $garden): string
    {
        return json_encode($this->values($garden),
            \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE | \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION)."\n";
    }

    /** @return array<string, mixed> */
    private function values(Garden $garden): array
    {
        return [
            'format' => GardenReader::FORMAT,
            'version' => GardenReader::VERSION,
            'name' => $garden->name,
            'today' => $garden->today->iso(),
            ...(null === $garden->practice ? [] : ['practice' => ['seed' => $garden->practice->seed]]),
            'place' => [
                'name' => $garden->place->name,
                'latitude' => $garden->place->latitude,
                'altitude_m' => $garden->place->altitude,
                'last_frost' => $garden->place->lastFrost->iso(),
                'first_frost' => $garden->place->firstFrost->iso(),
            ],
            'settings' => $this->settings($garden->settings),
            'blocks' => $garden->blocks,
            'beds' => array_map(static fn (Bed $b): array => ['name' => $b->name, 'block' => $b->block,
                'length_mm' => Millimetres::of($b->length->micrometres), 'width_mm' => Millimetres::of($b->width->micrometres),
                'path_mm' => Millimetres::of($b->path->micrometres),
                'place' => $b->place->value, ...($b->temper->isUsual() ? [] : ['temper' => TemperFile::temper($b->temper)]),
                ...([] === $b->quarantine ? [] : ['quarantine' => TemperFile::quarantine($b->quarantine)]),
                ...(null === $b->retired ? [] : ['retired' => $b->retired->iso()])], $garden->beds),
            'history' => array_map(static fn (PastCrop $p): array => [...PlantingCodec::stretch($p->stretch), 'crop' => $p->crop,
                'cleared' => $p->cleared->iso()], $garden->history),
            'outlets' => array_map(static fn (Outlet $o): array => ['key' => $o->key, 'name' => $o->name,
                ...self::marketDays($o->days), 'priority' => $o->priority, 'pick_window_days' => $o->pickWindowDays,
                'pick_to_sale_days' => $o->pickToSaleDays], $garden->outlets),
            'products' => array_map(static fn (Product $p): array => ['key' => $p->key, 'name' => $p->name, 'unit' => $p->unit,
                'price_cents' => $p->price->cents, 'parts' => array_map(static fn (Part $part): array => ['item' => $part->item,
                'units' => $part->units], $p->parts)], $garden->products),
            'promises' => array_map(static fn (Promise $p): array => ['outlet' => $p->outlet, 'product' => $p->product,
                'day' => $p->day->iso(), 'quantity' => $p->quantity], $garden->promises),
            'plantings' => array_map(PlantingCodec::values(...), $garden->plantings->all()),
            'climate' => ClimateFile::values($garden->climate),
            ...([] === $garden->protections ? [] : ['protections' => array_map(self::protection(...), $garden->protections)]),
            ...([] === $garden->recipes ? [] : ['own_recipes' => array_map(RecipeReader::values(...), $garden->recipes)]),
            ...([] === $garden->own ? [] : ['own_values' => array_map(static fn (OwnValue $v): array => ['crop' => $v->crop,
                'value' => $v->name, 'is' => $v->is, 'note' => $v->note], $garden->own)]),
            ...([] === $garden->notes ? [] : ['notes' => array_map(self::note(...), $garden->notes)]),
            ...DiaryFile::values($garden->diary),
            ...SoilFile::values($garden->soil),
            ...StoreFile::values($garden->store, $garden->sprays),
            ...MarketFile::values($garden->market),
        ];
    }

    /** @return array<string, mixed> */
    private function settings(Settings $s): array
    {
        return [
            'units' => $s->units->value,
            'currency' => $s->currency,
            ...(null === $s->dateForm ? [] : ['date_form' => $s->dateForm->value]),
            ...('' === $s->timeZone ? [] : ['time_zone' => $s->timeZone]),
            'sowing_days' => array_map(static fn (Weekday $d): string => $d->name, $s->sowingDays),
            'recipe' => $s->recipe,
            'rent' => $s->rent,
            'shortage_factor' => $s->shortageFactor,
            'keeping_share' => $s->keepingShare,
            'wage' => $s->wage,
            'rotation_years' => $s->rotation,
            'compost_depth_mm' => Millimetres::of($s->compostDepth->micrometres),
            'nitrogen_rate_g_m2' => $s->nitrogenRate,
            'fertiliser_nitrogen_percent' => $s->fertiliserNitrogen,
            ...([] === $s->kit ? [] : ['kit_mm' => array_map(Millimetres::of(...), $s->kit)]),
            ...([] === PlanRulesFile::values($s->rules) ? [] : ['plan_rules' => PlanRulesFile::values($s->rules)]),
            ...([] === MapFile::values($s->map) ? [] : ['map' => MapFile::values($s->map)]),
        ];
    }

    /** @return array<string, mixed> */
    private static function marketDays(MarketDays $days): array
    {
        $weekdays = array_map(static fn (Weekday $day): int => $day->value, $days->weekdays);

        return [...(1 === \count($weekdays) ? ['weekday' => $weekdays[0]] : ['weekdays' => $weekdays]),
            ...([] === $days->closed ? [] : ['closed' => array_map(static fn (Period $p): array => ['from' => $p->start->iso(),
                'to' => $p->last()->iso()], $days->closed)])];
    }

    /** @return array<string, mixed> */
    private static function note(FieldNote $note): array
    {
        return array_filter([
            'planting' => $note->planting,
            'what' => $note->what->value,
            'day' => $note->day->iso(),
            'length_mm' => null === $note->length ? null : Millimetres::of($note->length->micrometres),
            'share' => $note->share,
            'units' => $note->units,
            'words' => $note->words,
            'sign' => $note->sign?->value,
        ], static fn (mixed $value): bool => null !== $value);
    }

    /** @return array<string, string> */
    private static function protection(Protection $p): array
    {
        return [...('' === $p->planting ? ['bed' => $p->bed] : ['planting' => $p->planting]), 'cover' => $p->cover->value,
            'purpose' => $p->purpose->value, 'from' => $p->days->start->iso(), 'to' => $p->days->last()->iso()];
    }
}
