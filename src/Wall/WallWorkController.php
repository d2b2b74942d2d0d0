<?php

declare(strict_types=1);

namespace App\Wall;

use App\Change\PlantingChanges;
use App\Change\Replacement;
use App\Hand\HandChange;
use App\Log\Meanwhile;
use App\Log\Once;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Wording\Formatter;
use Doctrine\DBAL\Connection;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\BedPlace;
use JollyFurrow\Hand\ByHand;
use JollyFurrow\Hand\CannotBeDone;
use JollyFurrow\Hand\Skipped;
use JollyFurrow\Hand\WhereTo;
use JollyFurrow\Message\Message;
use JollyFurrow\Plan\DryRun;
use JollyFurrow\Plan\Expected;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Promise\Product;
use JollyFurrow\Recipe\RecipeBook;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Work on the wall: where a planting may go, what some changes would do together, and saving them as one. */
final class WallWorkController extends Page
{
    /** Changes in one draft. */
    private const MOST = 60;

    public function __construct(private readonly Snapshot $snapshot, private readonly CropBook $book, private readonly RecipeBook $recipes,
        private readonly WallChange $change, private readonly Planner $planner)
    {
    }

    /** Beds a planting may go to with a day, where it bends a rule, and why not elsewhere. */
    #[Route('/g/{garden}/wall/places', name: 'wall_places', methods: ['GET'])]
    public function places(Request $request, Visit $visit, FromShelf $shelf): Response
    {
        $garden = $this->opened($visit);
        $entry = new Entry($request->query->all());
        if ('' !== $entry->raw('item')) {
            return $this->shelfPlaces($garden, $entry, $shelf);
        }
        $planting = $garden->plantings->get($request->query->getString('planting'))
            ?? throw $this->createNotFoundException('There is no such planting.');
        try {
            $moved = '' === $entry->raw('when') ? $planting : $this->onDay($garden, $planting, $entry);
        } catch (CannotBeDone $not) {
            return new JsonResponse(['why' => $this->sayer->text($not->said()), 'beds' => []]);
        }

        return $this->placed($garden, $moved);
    }

    private function shelfPlaces(Garden $garden, Entry $entry, FromShelf $shelf): Response
    {
        $when = $entry->day('when');
        $planting = $entry->isGood() ? $shelf->somewhere(['item' => $entry->raw('item'), 'method' => $entry->raw('method')], $garden, $when)
            : null;

        return null === $planting ? new JsonResponse(['why' => $this->sayer->text(Message::of(Skipped::OutOfSeason)), 'beds' => []])
            : $this->placed($garden, $planting);
    }

    private function placed(Garden $garden, Planting $planting): Response
    {
        return new JsonResponse(['why' => '', 'beds' => array_map(fn (BedPlace $p): array => [$p->isPossible() ? ($p->bends() ? 'bends'
            : 'may') : 'not', null === $p->why() ? '' : $this->sayer->text($p->why())], WhereTo::of($garden, $this->book, $this->recipes,
                $planting)->beds)]);
    }

    /** What the changes of a draft would do, and the rows of the beds they touch; nothing is kept. */
    #[Route('/g/{garden}/wall/try', name: 'wall_try', methods: ['POST'])]
    public function tryOut(Request $request, Visit $visit, WallDrawing $drawing): Response
    {
        $garden = $this->opened($visit);
        $draft = $this->draft($garden, $request);

        return $this->show($request, $visit, $garden, $draft, $drawing, '', Response::HTTP_OK);
    }

    /** All changes of a draft as one entry of the log. Sent twice it is done once. */
    #[Route('/g/{garden}/wall/save', name: 'wall_save', methods: ['POST'])]
    public function save(Request $request, Visit $visit, WallDrawing $drawing, PlantingChanges $changes, Once $once): Response
    {
        $garden = $this->opened($visit);
        $seen = self::texts(self::decoded($request->request->getString('seen')));
        try {
            $words = '';
            $token = substr($request->request->getString('token'), 0, Once::TOKEN);
            [$words, $isBefore] = $once->done($visit->gardenId, $token, fn (): string => $changes->keep($visit->gardenId, $visit->accountId,
                $seen, fn (Garden $now): Replacement => $this->wholly($now, $request))->words);
            $isBefore ?: $this->addFlash('kept', ['words' => ucfirst($words).'.', 'garden' => $visit->gardenId,
                'account' => $visit->accountId]);

            return $request->request->has('plain') ? $this->seeOther('wall', ['garden' => $visit->gardenId])
                : new JsonResponse(['saved' => $words]);
        } catch (Meanwhile $meanwhile) {
            if ($request->request->has('plain')) {
                $this->addFlash('done', $this->sayer->why($meanwhile));

                return $this->seeOther('wall', ['garden' => $visit->gardenId]);
            }
            $garden = $this->opened($visit);

            return $this->show($request, $visit, $garden, $this->draft($garden, $request), $drawing, $this->sayer->why($meanwhile),
                Response::HTTP_CONFLICT);
        }
    }

    /** The number of the last change of the garden and what it was: who looks at a wall sees what others do. */
    #[Route('/g/{garden}/wall/version', name: 'wall_version', methods: ['GET'])]
    public function version(Visit $visit, Connection $connection): Response
    {
        $last = $connection->fetchAssociative('SELECT number, words FROM log_entry WHERE garden_id = ? ORDER BY number DESC LIMIT 1',
            [$visit->gardenId]) ?: ['number' => 0, 'words' => ''];

        return new JsonResponse($last);
    }

    private function wholly(Garden $garden, Request $request): Replacement
    {
        $draft = $this->draft($garden, $request);
        if ([] !== $draft->faults || [] === $draft->words) {
            throw Meanwhile::notPossible('Not all of it is possible any more. Nothing is saved; see below what is in the way.');
        }

        return $draft->replacement();
    }

    private function draft(Garden $garden, Request $request): Draft
    {
        $changes = [];
        foreach (\array_slice(self::decoded($request->request->getString('changes')), 0, self::MOST) as $one) {
            $changes[] = self::texts(\is_array($one) ? $one : []);
        }

        return Draft::of($garden, $changes, $this->change->in(...));
    }

    /** @return array<mixed> */
    private static function decoded(string $json): array
    {
        $values = json_decode($json, true, 8);

        return \is_array($values) ? $values : [];
    }

    /**
     * @param array<mixed> $values
     *
     * @return array<string, string> what of them is text
     */
    private static function texts(array $values): array
    {
        $texts = [];
        foreach ($values as $name => $value) {
            \is_string($value) ? $texts[(string) $name] = $value : null;
        }

        return $texts;
    }

    private function onDay(Garden $garden, Planting $planting, Entry $entry): Planting
    {
        $when = $entry->day('when');
        $byHand = new ByHand($this->book, $this->recipes);

        return match ($entry->isGood() ? HandChange::movableDay($planting) : null) {
            'sow' => $byHand->sowOn($garden, $planting, $when),
            'ground' => $byHand->intoGroundOn($garden, $planting, $when),
            default => $planting,
        };
    }

    private function show(Request $request, Visit $visit, Garden $garden, Draft $draft, WallDrawing $drawing, string $problem,
        int $status): Response
    {
        $dryRun = DryRun::of($this->planner, $this->book, $garden, array_values($draft->old), array_values($draft->new));
        $scale = WallSpan::asked($request->request->getString('zoom'), $request->request->getString('from'), $garden,
            $request->request->getInt('season'))->scale();
        $beds = array_fill_keys([...$draft->beds(), ...array_map('strval', array_filter(self::decoded($request->request->getString('beds')),
            \is_string(...)))], true);
        $after = $draft->after;
        $product = array_values(array_filter($garden->products, static fn (Product $p): bool => $p->key
            === $request->request->getString('product')))[0] ?? null;
        $colours = Colouring::of(Colour::tryFrom($request->request->getString('colour')) ?? Colour::Family, $after, $this->book, $product);
        $rows = array_values(array_filter($drawing->rows($after, Expected::of($after, $this->planner->asItStands($after), $this->book),
            $this->snapshot->plantingIds($visit->gardenId), $scale, '', array_map('strval', array_keys($beds)), $colours),
            static fn (array $row): bool => isset($beds[$row['bed']->name])));

        return $this->render('plan/_draft.html.twig', ['visit' => $visit, 'garden' => $garden, 'crops' => $this->book, 'draft' => $draft,
            'dry_run' => $dryRun, 'rows' => $rows, 'scale' => $scale, 'drafted' => $draft->new, 'problem' => $problem,
            'outlets' => array_column($garden->outlets, 'name', 'key')])->setStatusCode($status);
    }

    private function opened(Visit $visit): Garden
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($garden->settings));

        return $garden;
    }
}
