<?php

declare(strict_types=1);

namespace App\Hand;

use App\Log\Meanwhile;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use Doctrine\DBAL\Connection;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Plan\DryRun;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Shelter\Purpose;
use JollyFurrow\Work\CoverCare;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** A cover over one planting or one bed: first what it would do, then Keep. */
final class CoverController extends Page
{
    public function __construct(private readonly Snapshot $snapshot, private readonly CropBook $book, private readonly Planner $planner,
        private readonly Covers $covers, private readonly Connection $connection)
    {
    }

    #[Route('/g/{garden}/planting/{planting}/cover', name: 'planting_cover', methods: ['GET'])]
    public function overPlanting(Request $request, Visit $visit, string $planting): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);

        return $this->tryOut($request, $visit, $garden, '', $this->planting($visit, $planting, $garden), $planting);
    }

    #[Route('/g/{garden}/bed/{bed}/cover', name: 'bed_cover', methods: ['GET'])]
    public function overBed(Request $request, Visit $visit, string $bed): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        isset($garden->bedsByName()[$bed]) || throw $this->createNotFoundException('There is no such bed.');

        return $this->tryOut($request, $visit, $garden, $bed, null, '');
    }

    #[Route('/g/{garden}/planting/{planting}/cover', name: 'planting_cover_keep', methods: ['POST'])]
    public function keepOverPlanting(Request $request, Visit $visit, string $planting): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);

        return $this->keep($request, $visit, $garden, '', $this->planting($visit, $planting, $garden), $planting);
    }

    #[Route('/g/{garden}/bed/{bed}/cover', name: 'bed_cover_keep', methods: ['POST'])]
    public function keepOverBed(Request $request, Visit $visit, string $bed): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        isset($garden->bedsByName()[$bed]) || throw $this->createNotFoundException('There is no such bed.');

        return $this->keep($request, $visit, $garden, $bed, null, '');
    }

    #[Route('/g/{garden}/cover/{cover}/off', name: 'cover_off', methods: ['POST'])]
    public function off(Visit $visit, string $cover): Response
    {
        $wall = $this->generateUrl('wall', ['garden' => $visit->gardenId]);
        try {
            $this->covers->takeOff($visit->gardenId, $visit->accountId, $cover)
                || throw $this->createNotFoundException('There is no such cover.');
        } catch (Meanwhile $meanwhile) {
            $this->addFlash('trouble', $this->sayer->why($meanwhile));

            return $this->redirect($wall, Response::HTTP_SEE_OTHER);
        }

        return $this->kept($visit, 'The cover is out of the plan.', $wall);
    }

    private function keep(Request $request, Visit $visit, Garden $garden, string $bed, ?Planting $planting, string $id): Response
    {
        $entry = new Entry($request->request->all());
        $protection = CoverEntry::read($entry, $bed, $planting->key ?? '', self::place($garden, $bed, $planting));
        if (null === $protection) {
            return $this->show($request, $visit, $garden, $bed, $planting, $id, $entry, null, '');
        }
        $words = \sprintf('%s %s %s, from %s to %s', ucfirst($this->sayer->word($protection->cover)),
            $this->sayer->word($protection->purpose), null === $planting ? 'over bed '.$bed
            : 'over '.$this->book->grown($planting->item, $planting->variety)->name.' on bed '.$planting->pieces[0]->bed,
            $this->sayer->shortDay($protection->days->start), $this->sayer->shortDay($protection->days->last()));
        try {
            $this->covers->putOn($visit->gardenId, $visit->accountId, $protection, $words);
        } catch (Meanwhile $meanwhile) {
            return $this->show($request, $visit, $garden, $bed, $planting, $id, $entry, $protection, $this->sayer->why($meanwhile));
        }

        return $this->kept($visit, $words.'.', null === $planting ? $this->generateUrl('bed', ['garden' => $visit->gardenId,
            'bed' => $bed]) : $this->generateUrl('planting', ['garden' => $visit->gardenId, 'planting' => $id]));
    }

    private function tryOut(Request $request, Visit $visit, Garden $garden, string $bed, ?Planting $planting, string $id): Response
    {
        $entry = new Entry($request->query->has('cover') ? $request->query->all() : []);
        $protection = $entry->isBegun() ? CoverEntry::read($entry, $bed, $planting->key ?? '', self::place($garden, $bed, $planting))
            : null;

        return $this->show($request, $visit, $garden, $bed, $planting, $id, $entry, $protection, '');
    }

    private function show(Request $request, Visit $visit, Garden $garden, string $bed, ?Planting $planting, string $id, Entry $entry,
        ?Protection $protection, string $problem): Response
    {
        $moved = null === $protection ? [] : $this->covers->wouldDo($garden, $protection);
        $under = null === $protection ? [] : $garden->plantings->where(static fn (Planting $p): bool => !$p->isOver($garden->today)
            && $protection->isOver($p->key, array_map(static fn (Stretch $s): string => $s->bed, $p->pieces)))->all();
        $place = self::place($garden, $bed, $planting);

        return $this->page($request, 'climate/cover.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'crops' => $this->book,
            'bed' => $bed,
            'planting' => $planting,
            'id' => $id,
            'covers' => array_map($this->sayer->word(...), CoverEntry::covers($place)),
            'purposes' => array_combine(array_map(static fn (Purpose $p): string => $p->value, Purpose::cases()),
                array_map($this->sayer->word(...), Purpose::cases())),
            'entry' => $entry,
            'protection' => $protection,
            'working' => null === $protection ? null : CoverCare::working(Cover::usualOf($place)->under($protection->cover)),
            'dry_run' => null === $protection ? null : DryRun::of($this->planner, $this->book,
                $garden->covered([...$garden->protections, $protection]), array_column($moved, 'was'), array_column($moved, 'is')),
            'care' => null === $protection ? []
                : array_values(array_filter(array_map(fn (Planting $p): ?CoverCare => CoverCare::of($garden, $p,
                    $this->book->grown($p->item, $p->variety), $protection), $under))),
            'problem' => $problem,
            'standing' => array_filter(array_combine(Covers::ids($this->connection, $visit->gardenId), $garden->protections),
                static fn (Protection $p): bool => '' !== $bed ? $p->bed === $bed : $p->isOver($planting->key ?? '',
                    array_map(static fn (Stretch $s): string => $s->bed, $planting->pieces ?? []))),
        ], 'panel', '' !== $problem ? Response::HTTP_CONFLICT : ($entry->isGood() ? Response::HTTP_OK
            : Response::HTTP_UNPROCESSABLE_ENTITY));
    }

    private static function place(Garden $garden, string $bed, ?Planting $planting): PlaceType
    {
        return null !== $planting ? $planting->place : $garden->bedsByName()[$bed]->place;
    }

    private function planting(Visit $visit, string $id, Garden $garden): Planting
    {
        return $this->snapshot->planting($visit->gardenId, $id, $garden)
            ?? throw $this->createNotFoundException('There is no such planting.');
    }
}
