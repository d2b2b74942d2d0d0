<?php

declare(strict_types=1);

namespace App\Garden;

use App\Form\Forms;
use App\Log\ChangeLog;
use App\Rows\GardenRecord;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Recipe\RecipeBook;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class SettingsController extends Page
{
    public function __construct(private readonly Forms $forms, private readonly RecipeBook $recipes)
    {
    }

    #[Route('/g/{garden}/settings', name: 'settings', methods: ['GET'])]
    public function settings(Request $request, Visit $visit, Snapshot $snapshot): Response
    {
        $garden = $snapshot->of($visit->gardenId);

        return $this->show($request, $visit, $garden, $this->forms->fresh(SettingsType::class, SettingsData::of($garden),
            ['recipes' => $this->recipes]));
    }

    #[Route('/g/{garden}/settings', name: 'settings_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit, Snapshot $snapshot, EntityManagerInterface $entities, ChangeLog $log): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $typed = SettingsData::of($garden);
        $form = $this->forms->sent($request, SettingsType::class, $typed, ['recipes' => $this->recipes]);
        if (!$form->isValid()) {
            return $this->show($request, $visit, $garden, $form);
        }
        $log->record($visit->gardenId, $visit->accountId, 'Place and settings changed', static function () use ($visit, $entities,
            $garden, $typed): void {
            $record = $entities->find(GardenRecord::class, $visit->gardenId) ?? throw new \OutOfBoundsException('There is no such garden.');
            $record->rename($typed->name);
            $record->moveTo($typed->place());
            $record->choose($typed->settings($garden->settings));
        });
        $this->addFlash('done', 'The settings are saved.');

        return $this->seeOther('settings', ['garden' => $visit->gardenId]);
    }

    /** @param FormInterface<mixed> $form */
    private function show(Request $request, Visit $visit, Garden $garden, FormInterface $form): Response
    {
        return $this->page($request, 'garden/settings.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'form' => $form->createView(),
            'is_good' => !$form->isSubmitted() || $form->isValid(),
        ], 'settings', Forms::status($form));
    }
}
