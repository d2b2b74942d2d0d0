<?php

declare(strict_types=1);

namespace App\File;

use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
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
        return $this->page($request, 'garden/file.html.twig', ['visit' => $visit], 'file');
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
