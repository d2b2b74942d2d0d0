<?php

declare(strict_types=1);

namespace App\Crop;

use App\Books\GardenBooks;
use App\Log\Meanwhile;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Book\BookColumns;
use JollyFurrow\Book\OwnValue;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\BookChange;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\YearWindow;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** A crop's values made the garden's own, or a copy of it under a name of its own: first what it touches, then Keep. */
final class OwnController extends Page
{
    public function __construct(private readonly RecipeBook $recipes)
    {
    }

    #[Route('/g/{garden}/crops/{crop}/own', name: 'own', methods: ['GET'])]
    public function form(Request $request, Visit $visit, string $crop, Snapshot $snapshot, CropBook $book, GardenBooks $books): Response
    {
        return $this->show($request, $visit, $snapshot->of($visit->gardenId), $book, $books, $crop,
            self::copy($request->query->getString('copy')), Entry::fresh(), null, '');
    }

    #[Route('/g/{garden}/crops/{crop}/own', name: 'own_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit, string $crop, Snapshot $snapshot, CropBook $book, GardenBooks $books,
        OwnForm $form, BookEdit $edit): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $copy = self::copy($request->request->getString('copy'));
        $entry = new Entry($request->request->all());
        $this->crop($book, $crop);
        $read = $form->read($entry, $garden->own, $crop, $copy);
        if (!$entry->isGood() || 'try' === $entry->raw('do')) {
            return $this->show($request, $visit, $garden, $book, $books, $crop, $copy, $entry, $entry->isGood() ? $read['own'] : null, '');
        }
        try {
            $edit->keep($visit->gardenId, $visit->accountId, $entry->raw('seen'), $read['own'], 'follow' === $entry->raw('do'),
                self::words($entry, $copy));
        } catch (Meanwhile $meanwhile) {
            return $this->show($request, $visit, $garden, $book, $books, $crop, $copy, $entry, $read['own'], $this->sayer->why($meanwhile));
        }

        return $this->kept($visit, self::words($entry, $copy).'.', $this->generateUrl('crop', ['garden' => $visit->gardenId,
            'crop' => $read['key']]));
    }

    #[Route('/g/{garden}/crops/{crop}/book', name: 'own_away', methods: ['POST'])]
    public function away(Visit $visit, string $crop, Snapshot $snapshot, CropBook $book, BookEdit $edit): Response
    {
        $garden = $snapshot->of($visit->gardenId);
        $found = $this->crop($book, $crop);
        $own = array_values(array_filter($garden->own, static fn (OwnValue $v): bool => $v->crop !== $crop));
        $words = \sprintf('%s ‘%s’ reset to book values', $found->name, $found->variety);
        try {
            $edit->keep($visit->gardenId, $visit->accountId, BookEdit::mark($garden), $own, false, $words);
        } catch (Meanwhile $meanwhile) {
            $this->addFlash('trouble', $this->sayer->why($meanwhile));

            return $this->seeOther('crop', ['garden' => $visit->gardenId, 'crop' => $crop]);
        }

        return $this->kept($visit, $words.'.', $this->generateUrl('crops', ['garden' => $visit->gardenId]));
    }

    /**
     * As a grower types them.
     *
     * @param array<string, array{crop: string, value: string, is: string, source: string, note: string}> $values
     *
     * @return array<string, array{crop: string, value: string, is: string, source: string, note: string}>
     */
    private function written(array $values): array
    {
        foreach (array_intersect(BookColumns::WINDOWS, array_keys($values)) as $name) {
            $window = '' === $values[$name]['is'] ? null : YearWindow::parse($values[$name]['is']);
            $values[$name]['is'] = null === $window ? '' : \sprintf('%s to %s', $this->sayer->formatter()->yearly($window->from)->text,
                $this->sayer->formatter()->yearly($window->to)->text);
        }

        return $values;
    }

    private static function copy(string $copy): string
    {
        return \in_array($copy, [OwnForm::AS_VARIETY, OwnForm::AS_CROP], true) ? $copy : '';
    }

    private static function words(Entry $entry, string $copy): string
    {
        return mb_substr(\sprintf('%s ‘%s’: %s', $entry->raw('v-name'), $entry->raw('v-variety'), '' === $copy ? 'own values'
            : 'added as our own'), 0, 200);
    }

    private function crop(CropBook $book, string $crop): Crop
    {
        return $book->has($crop) ? $book->get($crop) : throw $this->createNotFoundException('The crop book has no such crop.');
    }

    /** @param list<OwnValue>|null $own as they would be, to be tried; null: not yet */
    private function show(Request $request, Visit $visit, Garden $garden, CropBook $book, GardenBooks $books, string $crop,
        string $copy, Entry $entry, ?array $own, string $problem): Response
    {
        return $this->page($request, 'crop/own.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'crop' => $this->crop($book, $crop),
            'crops' => $book,
            'copy' => $copy,
            'entry' => $entry,
            'groups' => ValueWords::groups(),
            'values' => $this->written($books->values($garden->own, $crop)),
            'own_here' => [] !== array_filter($garden->own, static fn (OwnValue $v): bool => $v->crop === $crop),
            'is_own' => [] === $books->values([], $crop),
            'change' => null === $own ? null : BookChange::of($garden, $book, $books->built($own), $this->recipes),
            'problem' => $problem,
            'seen' => BookEdit::mark($garden),
        ], 'own', '' !== $problem ? Response::HTTP_CONFLICT : ($entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }
}
