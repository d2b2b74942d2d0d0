<?php

declare(strict_types=1);

namespace App\Job;

use App\Books\CareFile;
use App\Change\PlantingChanges;
use App\Change\Replacement;
use App\Log\Meanwhile;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Work\CareRule;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Care growers do or leave, planting by planting: hilling, thinning, a blind pass. */
final class CareChoiceController extends Page
{
    #[Route('/g/{garden}/planting/{planting}/care', name: 'care_choice', methods: ['POST'])]
    public function choose(Request $request, Visit $visit, string $planting, Snapshot $snapshot, CropBook $book, CareFile $care,
        PlantingChanges $changes): Response
    {
        $key = $request->request->getString('care');
        $rule = array_values(array_filter($care->load(), static fn (CareRule $r): bool => $r->isChoice && $r->key === $key))[0]
            ?? throw $this->createNotFoundException('There is no such care to do or to leave.');
        $found = $snapshot->planting($visit->gardenId, $planting, $snapshot->of($visit->gardenId))
            ?? throw $this->createNotFoundException('There is no such planting.');
        $page = $this->generateUrl('planting', ['garden' => $visit->gardenId, 'planting' => $planting]);
        try {
            $kept = $changes->keep($visit->gardenId, $visit->accountId, [], static function (Garden $now) use ($found, $rule,
                $book): Replacement {
                $is = $now->plantings->get($found->key) ?? throw Meanwhile::notPossible('The planting is gone meanwhile.');
                $others = array_values(array_diff($is->careLeftOut, [$rule->key]));
                $isDoneAgain = \count($others) < \count($is->careLeftOut);

                return new Replacement([$is], [$is->but(careLeftOut: $isDoneAgain ? $others : [...$others, $rule->key])],
                    \sprintf('%s on %s: %s %s', $book->grown($is->item, $is->variety)->name, $is->pieces[0]->bed, lcfirst($rule->name),
                        $isDoneAgain ? 'is done again' : 'left out'));
            });
        } catch (Meanwhile $meanwhile) {
            $this->addFlash('trouble', $this->sayer->why($meanwhile));

            return $this->redirect($page, Response::HTTP_SEE_OTHER);
        }

        return $this->kept($visit, $kept->words.'.', $page);
    }
}
