<?php

declare(strict_types=1);

namespace App\Garden;

use App\Log\ChangeLog;
use App\Rows\GardenRecord;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Climate\PlaceType;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Units;
use JollyFurrow\Recipe\Kit;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\Weekday;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class SettingsController extends Page
{
    #[Route('/g/{garden}/settings', name: 'settings', methods: ['GET'])]
    public function settings(Request $request, Visit $visit, Snapshot $snapshot, RecipeBook $recipes): Response
    {
        return $this->show($request, $visit, $snapshot->of($visit->gardenId), $recipes, Entry::fresh());
    }

    #[Route('/g/{garden}/settings', name: 'settings_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit, Snapshot $snapshot, RecipeBook $recipes, EntityManagerInterface $entities, ChangeLog $log): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $entry = new Entry($request->request->all());
        $name = $entry->text('name', 120);
        $place = new Place($entry->text('place_name', 120), $entry->float('latitude', -66, 66), $entry->int('altitude', -400, 5000), $entry->monthDay('last_frost'), $entry->monthDay('first_frost'));
        $settings = $this->read($entry, $garden, $recipes);
        if (!$entry->isGood()) {
            return $this->show($request, $visit, $garden, $recipes, $entry);
        }
        $log->record($visit->gardenId, $visit->accountId, 'Place and settings changed', static function () use ($visit, $entities, $name, $place, $settings): void {
            $record = $entities->find(GardenRecord::class, $visit->gardenId) ?? throw new \OutOfBoundsException('There is no such garden.');
            $record->rename($name);
            $record->moveTo($place);
            $record->choose($settings);
        });
        $this->addFlash('done', 'The settings are kept.');

        return $this->seeOther('settings', ['garden' => $visit->gardenId]);
    }

    private function read(Entry $entry, Garden $garden, RecipeBook $recipes): Settings
    {
        $days = array_values(array_filter(array_map(static fn (string $n): ?Weekday => is_numeric($n) ? Weekday::tryFrom((int) $n) : null, $entry->several('sowing_days'))));
        if ([] === $days) {
            $entry->fault('sowing_days', 'Choose at least one day of the week to sow on.');
            $days = $garden->settings->sowingDays;
        }
        $places = array_map(static fn (PlaceType $p): string => $p->value, PlaceType::cases());
        $recipe = $entry->oneOf('recipe', array_map(static fn (Recipe $r): string => $r->key, $recipes->all()));
        $currency = strtoupper($entry->raw('currency'));
        if (1 !== preg_match('/^[A-Z]{3}$/', $currency)) {
            $entry->fault('currency', 'Write the three letters of a currency, for example EUR.');
        }

        return new Settings(
            $entry->choice('units', Units::class),
            $currency,
            $days,
            $recipe,
            array_combine($places, array_map(static fn (string $p): float => 100 * $entry->float('rent_'.$p, 0.01, 1000), $places)),
            $entry->float('shortage_factor', 0.01, 1000),
            $entry->float('keeping_share', 0, 1),
            $entry->money('wage')->cents,
            array_combine($places, array_map(static fn (string $p): int => $entry->int('rotation_'.$p, 0, 12), $places)),
            $entry->length('compost_depth', $garden->settings->units->shortUnit(), 0, 0.3),
            $entry->float('nitrogen_rate', 0, 40),
            $entry->float('fertiliser_nitrogen', 0.1, 100),
            self::kit($entry, $garden),
            $garden->settings->rules,
        );
    }

    /** @return array<string, int> */
    private static function kit(Entry $entry, Garden $garden): array
    {
        $kit = [];
        foreach (Kit::cases() as $one) {
            if ('' !== $entry->raw('kit_'.$one->value)) {
                $kit[$one->value] = $entry->length('kit_'.$one->value, $garden->settings->units->longUnit(), 0, 100_000)->millimetres;
            }
        }

        return $kit;
    }

    private function show(Request $request, Visit $visit, Garden $garden, RecipeBook $recipes, Entry $entry): Response
    {
        return $this->page($request, 'garden/settings.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'recipes' => $recipes->all(),
            'entry' => $entry,
            'weekdays' => Weekday::cases(),
            'places' => PlaceType::cases(),
            'kits' => Kit::cases(),
            'kit' => array_map(static fn (int $mm): string => $garden->settings->units->long(Length::fromMillimetres($mm)), $garden->settings->kit),
            'rents' => array_map(static fn (float|int $cents): string => number_format($cents / 100, 2, '.', ''), $garden->settings->rent),
            'wage' => number_format($garden->settings->wage / 100, 2, '.', ''),
        ], 'settings', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
