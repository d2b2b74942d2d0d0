<?php

declare(strict_types=1);

namespace App\Crop;

use App\Account\Visit;
use App\Garden\Snapshot;
use App\Shared\Page;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class CropController extends Page
{
    #[Route('/g/{garden}/crops', name: 'crops', methods: ['GET'])]
    public function list(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book): Response
    {
        $crops = $book->all();
        usort($crops, static fn (Crop $a, Crop $b): int => [$a->family, $a->name] <=> [$b->family, $b->name]);

        return $this->page($request, 'crop/list.html.twig', ['visit' => $visit, 'garden' => $snapshot->of($visit->gardenId), 'list' => $crops], 'list');
    }

    #[Route('/g/{garden}/crops/{crop}', name: 'crop', methods: ['GET'])]
    public function crop(Request $request, Visit $visit, string $crop, Snapshot $snapshot, CropBook $book, CropFacts $facts): Response
    {
        if (!$book->has($crop)) {
            throw $this->createNotFoundException('The crop book has no such crop.');
        }
        $garden = $snapshot->of($visit->gardenId);

        return $this->page($request, 'crop/crop.html.twig', ['visit' => $visit, 'garden' => $garden, 'crop' => $book->get($crop), 'groups' => $facts->of($book->get($crop), $garden->settings->units)], 'crop');
    }
}
