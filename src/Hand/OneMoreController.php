<?php

declare(strict_types=1);

namespace App\Hand;

use App\Plan\DrawUp;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Shelter\PlaceType;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Plans the one sowing that was offered as a mend. */
final class OneMoreController extends Page
{
    #[Route('/g/{garden}/plan/one-more', name: 'one_more', methods: ['POST'])]
    public function sow(Request $request, Visit $visit, Snapshot $snapshot, Planner $planner, CropBook $book, DrawUp $drawUp): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $entry = new Entry($request->request->all());
        $item = $entry->oneOf('item', array_map(static fn (Crop $c): string => $c->key, $book->sold()));
        $sow = $entry->day('sow');
        $place = $entry->choice('place', PlaceType::class);
        $method = $entry->choice('method', Method::class);
        $planting = $entry->isGood() ? $planner->oneMore($garden, $item, $sow, $place, $method) : null;
        if (null === $planting) {
            $this->addFlash('done',
                'This sowing is not possible any more: its day has gone by or its bed is taken. Here is what is possible now.');

            return $this->seeOther('plan', ['garden' => $visit->gardenId]);
        }
        $drawUp->add($visit->gardenId, $visit->accountId, $planting, $book->get($item)->name);
        $this->addFlash('done',
            \sprintf('%s is planned on bed %s, to be sown on %s. It is locked: drawing up leaves it as it is. The log takes it back.',
                $book->get($item)->name, $planting->pieces[0]->bed, $this->sayer->shortDay($planting->sow)));

        return $this->seeOther('plan', ['garden' => $visit->gardenId]);
    }
}
