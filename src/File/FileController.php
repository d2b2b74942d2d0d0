<?php

declare(strict_types=1);

namespace App\File;

use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Role;
use App\Shared\Visit;
use App\Store\Snapshot;
use Doctrine\DBAL\Connection;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\String\Slugger\AsciiSlugger;

final class FileController extends Page
{
    #[Route('/g/{garden}/file', name: 'file', methods: ['GET'])]
    public function overview(Request $request, Visit $visit): Response
    {
        return $this->show($request, $visit, Entry::fresh());
    }

    /** The one change that cannot be taken back: it asks for the garden's name, and the file is one tap away. */
    #[Route('/g/{garden}/file/delete-garden', name: 'file_delete', methods: ['POST'], defaults: ['_least' => Role::Owner->value])]
    public function delete(Request $request, Visit $visit, Connection $connection): Response
    {
        $entry = new Entry($request->request->all());
        if ($entry->raw('name') !== $visit->gardenName) {
            $entry->fault('name', \sprintf('Write the garden\'s name as it is: %s.', $visit->gardenName));

            return $this->show($request, $visit, $entry);
        }
        $connection->transactional(static fn (Connection $c): int|string => $c->delete('garden', ['garden_id' => $visit->gardenId]));
        $this->addFlash('done', \sprintf('The garden %s is deleted.', $visit->gardenName));

        return $this->seeOther('gardens');
    }

    private function show(Request $request, Visit $visit, Entry $entry): Response
    {
        return $this->page($request, 'garden/file.html.twig', ['visit' => $visit, 'entry' => $entry], 'file', $entry->isGood()
            ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    #[Route('/g/{garden}/file/garden.json', name: 'file_export', methods: ['GET'])]
    public function export(Visit $visit, Snapshot $snapshot, GardenWriter $writer): Response
    {
        $garden = $snapshot->of($visit->gardenId, whole: true);
        $name = (new AsciiSlugger())->slug($garden->name)->lower()->toString().'-'.$garden->today->iso().'.json';

        return new Response($writer->write($garden), headers: [
            'Content-Type' => 'application/json',
            'Content-Disposition' => HeaderUtils::makeDisposition(HeaderUtils::DISPOSITION_ATTACHMENT, $name),
            'Cache-Control' => 'no-store',
        ]);
    }
}
