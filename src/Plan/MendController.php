<?php

declare(strict_types=1);

namespace App\Plan;

use App\Change\PlantingChanges;
use App\Change\Replacement;
use App\Log\Meanwhile;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Plan\Promised;
use JollyFurrow\Plan\Shortage;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Why\Mending;
use JollyFurrow\Why\MendWay;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What would fill what is short of one crop: single changes, each reckoned, the best few a tap away. */
final class MendController extends Page
{
    public function __construct(private readonly Snapshot $snapshot, private readonly CropBook $book, private readonly RecipeBook $recipes)
    {
    }

    #[Route('/g/{garden}/plan/mend/{crop}', name: 'mend', methods: ['GET'])]
    public function look(Request $request, Visit $visit, string $crop, Planner $planner): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $item = $this->item($crop);

        return $this->page($request, 'plan/mend.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'crop' => $this->book->get($item),
            'crops' => $this->book,
            'promised' => Promised::in($garden),
            'recipes' => $this->recipes,
            'ids' => $this->snapshot->plantingIds($visit->gardenId),
            'short' => array_values(array_filter($planner->asItStands($garden)->shortages, static fn (Shortage $s): bool => $s->item === $item)),
            'ways' => (new Mending($garden, $this->book, $this->recipes))->of($item),
        ], 'mend');
    }

    #[Route('/g/{garden}/plan/mend/{crop}', name: 'mend_take', methods: ['POST'])]
    public function take(Request $request, Visit $visit, string $crop, PlantingChanges $changes): Response
    {
        $item = $this->item($crop);
        $wanted = $request->request->getString('way');
        try {
            $kept = $changes->keep($visit->gardenId, $visit->accountId, [], function (Garden $garden) use ($item, $wanted): Replacement {
                $way = array_values(array_filter((new Mending($garden, $this->book, $this->recipes))->of($item),
                    static fn (MendWay $w): bool => $w->key === $wanted && null === $w->cover))[0]
                    ?? throw Meanwhile::notPossible('The plan has changed meanwhile and this would no longer be the same; look again.');

                return new Replacement($way->old, $way->new, \sprintf('%s mended: %s, bed %s, sown %s', $this->book->get($item)->name,
                    $this->sayer->text($way->kind), $way->new[0]->pieces[0]->bed, $this->sayer->shortDay($way->new[0]->sow)));
            });
        } catch (Meanwhile $meanwhile) {
            $this->addFlash('trouble', $this->sayer->why($meanwhile));

            return $this->seeOther('mend', ['garden' => $visit->gardenId, 'crop' => $crop]);
        }

        return $this->kept($visit, $kept->words.'.', $this->generateUrl('mend', ['garden' => $visit->gardenId, 'crop' => $crop]));
    }

    private function item(string $crop): string
    {
        return $this->book->has($crop) ? $this->book->get($crop)->item() : throw $this->createNotFoundException('There is no such crop.');
    }
}
