<?php

declare(strict_types=1);

namespace App\Offline;

use App\Account\GardenGate;
use App\Job\Sites;
use App\Pick\PickLists;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Job\WorkWeek;
use JollyFurrow\Pick\PickLine;
use JollyFurrow\Task\TaskList;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Asset\Packages;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;

/** What a phone keeps for the field without reception: the application, and the pages of this week. */
final class OfflineController extends AbstractController
{
    /** Jobs whose pages are kept, and the beds and crops they are of. */
    private const JOBS = 25;
    private const BEDS = 20;
    private const CROPS = 12;
    /** Forms of what is to be picked today. */
    private const PICKS = 15;
    private const SHELL = ['styles/app.built.css', 'scripts/forms.js', 'scripts/offline.js', 'htmx/htmx.min.js', 'furrow.svg',
        'icons/furrow-192.png'];

    #[Route('/manifest.webmanifest', name: 'manifest', methods: ['GET'])]
    public function manifest(Packages $assets): Response
    {
        $icon = static fn (int $size, string $purpose): array => ['src' => $assets->getUrl('icons/furrow-'.$size.'.png'),
            'sizes' => $size.'x'.$size, 'type' => 'image/png', 'purpose' => $purpose];

        return new JsonResponse(['name' => 'Jolly Furrow', 'short_name' => 'Furrow', 'id' => '/', 'start_url' => '/', 'scope' => '/',
            'display' => 'standalone', 'background_color' => '#fbfaf6', 'theme_color' => '#1c5a3a',
            'icons' => [$icon(192, 'any'), $icon(512, 'any'), $icon(512, 'maskable')]],
            headers: ['Content-Type' => 'application/manifest+json',
            'Cache-Control' => 'public, max-age=3600']);
    }

    /** At the root, so that it may look after all pages. Its text changes with every asset, so that a new one is taken up. */
    #[Route('/sw.js', name: 'service_worker', methods: ['GET'])]
    public function serviceWorker(Packages $assets): Response
    {
        $files = array_map($assets->getUrl(...), self::SHELL);
        $response = $this->render('offline/sw.js.twig', ['files' => $files, 'version' => hash('xxh64', implode(' ', $files))]);
        $response->headers->set('Content-Type', 'text/javascript; charset=utf-8');
        $response->headers->set('Cache-Control', 'no-cache');

        return $response;
    }

    /** Shown where a page was not kept. */
    #[Route('/offline', name: 'offline', methods: ['GET'])]
    public function offline(): Response
    {
        return $this->render('offline/offline.html.twig');
    }

    /** Addresses to keep, and the token that what waited is sent with. */
    #[Route('/g/{garden}/offline', name: 'offline_keep', methods: ['GET'])]
    public function keep(Request $request, Visit $visit, Sites $sites, CsrfTokenManagerInterface $tokens, PickLists $lists,
        Snapshot $snapshot): Response
    {
        if ($request->query->has('token')) {
            return new JsonResponse(['token' => $tokens->getToken(GardenGate::TOKEN)->getValue()],
                headers: ['Cache-Control' => 'no-store']);
        }
        $site = $sites->of($visit->gardenId);
        $week = WorkWeek::of($site, TaskList::usual(), $site->garden->today->week());
        $id = ['garden' => $visit->gardenId];
        $pages = [$this->generateUrl('week', $id), $this->generateUrl('beds', $id)];
        $beds = $crops = [];
        foreach (\array_slice($week->open(), 0, self::JOBS) as $job) {
            $pages[] = $this->generateUrl('job', [...$id, 'job' => $job->key, 'on' => 0]);
            $beds = [...$beds, ...$job->beds()];
            $crops[] = $job->first()->planting?->item;
        }
        foreach (\array_slice(array_unique($beds), 0, self::BEDS) as $bed) {
            $pages[] = $this->generateUrl('bed', [...$id, 'bed' => $bed]);
        }
        foreach (\array_slice(array_unique(array_filter($crops, is_string(...))), 0, self::CROPS) as $crop) {
            $pages[] = $this->generateUrl('crop', [...$id, 'crop' => $crop]);
        }

        array_push($pages, $this->generateUrl('pick', $id), $this->generateUrl('harvest', $id));
        $ids = $snapshot->plantingIds($visit->gardenId);
        $now = array_filter($lists->of($visit->gardenId)[1]->lines, static fn (PickLine $l): bool => $l->day->equals($site->garden->today));
        foreach (\array_slice($now, 0, self::PICKS) as $line) {
            $pages[] = $this->generateUrl('harvest', [...$id, 'planting' => $ids[$line->planting->key], 'units' => $line->units]);
        }

        return new JsonResponse(['pages' => $pages], headers: ['Cache-Control' => 'no-store']);
    }
}
