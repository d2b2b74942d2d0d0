<?php

declare(strict_types=1);

namespace App\Crop;

use App\Books\GardenBooks;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Book\BookColumns;
use JollyFurrow\Book\OwnValue;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Maturity\ReadyRange;
use JollyFurrow\Maturity\Ripeness;
use JollyFurrow\Message\Message;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class CropController extends Page
{
    #[Route('/g/{garden}/crops', name: 'crops', methods: ['GET'])]
    public function list(Request $request, Visit $visit, Snapshot $snapshot, CropBook $book): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $search = mb_strtolower(trim($request->query->getString('q')));
        $family = $request->query->getString('family');
        $crops = array_values(array_filter($book->all(), static fn (Crop $c): bool => ('' === $family || $c->family === $family)
            && ('' === $search || str_contains(mb_strtolower(implode(' ', array_map(static fn (Crop $v): string => implode(' ', [$v->name, $v->variety, ...$v->also]), $book->varietiesOf($c->key)))), $search))));
        usort($crops, static fn (Crop $a, Crop $b): int => [$a->family, $a->name] <=> [$b->family, $b->name]);
        $families = array_values(array_unique(array_map(static fn (Crop $c): string => $c->family, $book->all())));
        sort($families);

        return $this->page($request, 'crop/list.html.twig', ['visit' => $visit, 'garden' => $garden, 'crops' => $book, 'list' => $crops,
            'families' => $families, 'family' => $family, 'search' => $search,
            'own' => array_flip(array_map(static fn (OwnValue $v): string => $v->crop, $garden->own))], 'list');
    }

    #[Route('/g/{garden}/crops/{crop}', name: 'crop', methods: ['GET'])]
    public function crop(Request $request, Visit $visit, string $crop, Snapshot $snapshot, CropBook $book, CropFacts $facts,
        GardenBooks $books): Response
    {
        if (!$book->has($crop)) {
            throw $this->createNotFoundException('The crop book has no such crop.');
        }
        $garden = $snapshot->of($visit->gardenId);
        $found = $book->get($crop);
        $method = Method::tryFrom($request->query->getString('method'));
        $method = null !== $method && \in_array($method, $found->methods(), true) ? $method : $found->methods()[0];
        $entry = new Entry($request->query->has('day') ? $request->query->all() : []);
        $day = $entry->isBegun() ? $entry->day('day') : null;

        return $this->page($request, 'crop/crop.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'crop' => $found,
            'varieties' => $book->varietiesOf($found->item()),
            'glance' => $facts->atAGlance($found),
            'is_own' => !$books->shipped()->has($crop),
            'own_names' => array_filter($garden->own, static fn (OwnValue $v): bool => $v->crop === $crop),
            'labels' => array_combine(BookColumns::NOTES, array_map(ValueWords::of(...), BookColumns::NOTES)),
            'groups' => $facts->of($found, $garden),
            'chart' => TimingChart::of($garden, $found, $method, $this->sayer),
            'method' => $method,
            'entry' => $entry,
            'answers' => null === $day || !$entry->isGood() ? [] : self::answers($garden, $found, $method, $day,
                'ready' === $entry->raw('ask')),
        ], 'crop', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    /** @return list<array{place: PlaceType, ripe: Ripeness|null, late: bool, range: ReadyRange|null, why: Message|null, unusual: Message|null}> forward from a sowing, or backward from a market day; late: it does not keep until then */
    private static function answers(Garden $garden, Crop $crop, Method $method, Day $day, bool $isBackward): array
    {
        $timing = $garden->local();
        $answers = [];
        foreach ($crop->places() as $place) {
            $ripening = $timing->of($crop, Cover::usualOf($place));
            $found = $isBackward ? $ripening->latestFor($day->number, $method) : $ripening->whatever($day->number, $method);
            $ripe = null !== $found && $found->isPossible() ? $found : null;
            $answers[] = ['place' => $place, 'ripe' => $ripe, 'late' => $isBackward && null !== $ripe
                && $ripe->lastGood + $crop->produce->keepingDays < $day->number,
                'range' => null === $ripe ? null : ReadyRange::of($timing, $crop, Cover::usualOf($place), $ripe, $method),
                'why' => $isBackward || null !== $ripe ? null : $found->never ?? $ripening->notReady($day->number, $method),
                'unusual' => null === $ripe ? null : $ripening->unusual($ripe, $method)];
        }

        return $answers;
    }
}
