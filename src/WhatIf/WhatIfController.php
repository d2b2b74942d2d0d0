<?php

declare(strict_types=1);

namespace App\WhatIf;

use App\Books\GardenBooks;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Store\WhatIfs;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Weekday;
use JollyFurrow\WhatIf\Figures;
use JollyFurrow\WhatIf\Question;
use JollyFurrow\WhatIf\QuestionKind;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Copies of the garden that ask "what if", side by side with it; taken over or dropped. */
final class WhatIfController extends Page
{
    /** A copy may promise so many times as much, per cent. */
    private const MOST_PERCENT = 500;
    private const MOST_BOXES = 5000;

    public function __construct(private readonly Snapshot $snapshot, private readonly WhatIfs $whatIfs, private readonly GardenBooks $books,
        private readonly RecipeBook $recipes)
    {
    }

    #[Route('/g/{garden}/what-if', name: 'what_if', methods: ['GET'])]
    public function sideBySide(Request $request, Visit $visit): Response
    {
        return $this->show($request, $visit, $this->snapshot->of($visit->gardenId), Entry::fresh());
    }

    #[Route('/g/{garden}/what-if', name: 'what_if_make', methods: ['POST'])]
    public function make(Request $request, Visit $visit, CopyGarden $copies): Response
    {
        $garden = $this->snapshot->of($visit->gardenId, whole: true);
        $entry = new Entry($request->request->all());
        [$question, $words] = $this->read($entry, $garden);
        if (\count($this->whatIfs->of($visit->gardenId, $visit->accountId)) >= WhatIfs::MOST) {
            $entry->fault('kind', \sprintf('There are %d already. Drop one first.', WhatIfs::MOST));
        }
        if (!$entry->isGood()) {
            return $this->show($request, $visit, $garden, $entry);
        }
        $copies->make($visit, $question->asked($garden), $words);
        $this->addFlash('done', \sprintf('“%s” is asked. Draw up its plan to see what it comes to.', $words));

        return $this->seeOther('what_if', ['garden' => $visit->gardenId]);
    }

    #[Route('/g/{garden}/what-if/drop', name: 'what_if_drop', methods: ['POST'])]
    public function drop(Request $request, Visit $visit): Response
    {
        $this->whatIfs->drop($this->asked($request, $visit));
        $this->addFlash('done', 'Dropped. The garden is as it was.');

        return $this->seeOther('what_if', ['garden' => $visit->gardenId]);
    }

    /** Promises, outlets, products, rules and beds out of use, as one change; the plan is drawn up as ever. */
    #[Route('/g/{garden}/what-if/take-over', name: 'what_if_take', methods: ['POST'])]
    public function takeOver(Request $request, Visit $visit, TakeOver $takeOver): Response
    {
        $copy = $this->asked($request, $visit);
        $words = 'Taken over: '.$this->whatIfs->of($visit->gardenId, $visit->accountId)[$copy];
        if (!$takeOver->take($visit, $copy, $words)) {
            $this->addFlash('done', 'It asks for nothing that is not so already.');

            return $this->seeOther('what_if', ['garden' => $visit->gardenId]);
        }

        return $this->kept($visit, $words.'. Draw up the plan anew when you are ready.', $this->generateUrl('plan',
            ['garden' => $visit->gardenId]));
    }

    /** The copy that is meant; only one's own of this garden. */
    private function asked(Request $request, Visit $visit): string
    {
        $copy = $request->request->getString('copy');

        return isset($this->whatIfs->of($visit->gardenId, $visit->accountId)[$copy]) ? $copy
            : throw $this->createNotFoundException('There is no such copy.');
    }

    /** @return array{Question, string} what is asked, and in words */
    private function read(Entry $entry, Garden $garden): array
    {
        $kind = QuestionKind::tryFrom($entry->raw('kind'));
        if (null === $kind) {
            $entry->fault('kind', 'Choose what to ask.');
        }
        $names = array_column($garden->outlets, 'name', 'key');
        $words = '' === $entry->raw('words') ? '' : $entry->text('words', 60);
        $outlet = \in_array($kind, [QuestionKind::MoreOf, QuestionKind::SecondMarket], true) ? $entry->oneOf('outlet',
            array_map('strval', array_keys($names))) : '';
        switch ($kind) {
            case QuestionKind::MoreOf:
                $isBoxes = [] !== $garden->market->sizesOf($outlet);
                $more = $entry->int('more', 1, $isBoxes ? self::MOST_BOXES : self::MOST_PERCENT);
                $question = $isBoxes ? Question::moreBoxes($garden, $outlet, $more) : Question::moreOf($outlet, 1 + $more / 100);

                return [$question, '' === $words ? \sprintf($isBoxes ? '%d more of %s' : '%d %% more for %s', $more, $names[$outlet] ?? '')
                    : $words];
            case QuestionKind::SecondMarket:
                $weekday = Weekday::tryFrom($entry->int('weekday', 1, 7)) ?? Weekday::Monday;
                $share = $entry->int('share', 5, self::MOST_PERCENT);

                return [Question::secondMarket($outlet, $weekday, $share / 100), '' === $words ? \sprintf('A second %s on %s, %d %% of it',
                    $names[$outlet] ?? '', $this->sayer->word($weekday), $share) : $words];
            case QuestionKind::WithoutPlace:
                $place = PlaceType::tryFrom($entry->oneOf('place', array_column(PlaceType::cases(), 'value'))) ?? PlaceType::Field;
                if ($garden->metresOf($place) <= 0.0) {
                    $entry->fault('place', 'There are no such beds.');
                }

                return [Question::without($place), '' === $words ? 'Without '.$this->sayer->word($place).' beds' : $words];
            default:
                return [Question::asItIs(), '' === $words ? 'As it is, to change by hand' : $words];
        }
    }

    private function show(Request $request, Visit $visit, Garden $garden, Entry $entry): Response
    {
        $columns = [['id' => $visit->gardenId, 'name' => 'As planned now', 'from' => $garden->today, 'figures' => Figures::of($garden,
            $this->books->with(
                $garden->own), $this->recipes)]];
        foreach ($this->whatIfs->of($visit->gardenId, $visit->accountId) as $id => $question) {
            $copy = $this->snapshot->of($id);
            $columns[] = ['id' => $id, 'name' => $question, 'from' => $copy->today, 'figures' => Figures::of($copy,
                $this->books->with($copy->own),
                $this->recipes)];
        }

        return $this->page($request, 'whatif/side_by_side.html.twig', ['visit' => $visit, 'garden' => $garden, 'columns' => $columns,
            'rows' => self::rows($columns), 'entry' => $entry, 'places' => array_values(array_filter(PlaceType::cases(),
                static fn (PlaceType $p): bool => $garden->metresOf($p) > 0.0)), 'weekdays' => Weekday::cases(),
            'boxes' => array_column(array_filter($garden->outlets, static fn (Outlet $o): bool => [] !== $garden->market->sizesOf($o->key)),
                'key'), 'most' => WhatIfs::MOST], 'what_if', $entry->isGood() ? Response::HTTP_OK
                : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    /**
     * @param non-empty-list<array{id: string, name: string, figures: Figures}> $columns
     *
     * Width is a per cent of the largest; more is the difference to the real garden, without its sign
     *
     * @return array<string, list<array{value: Quantity, width: float, more: Quantity, isMore: bool}>> by figure
     */
    private static function rows(array $columns): array
    {
        $rows = [];
        foreach ($columns[0]['figures']->all() as $name => $now) {
            $values = array_map(static fn (array $c): Quantity => $c['figures']->all()[$name], $columns);
            $most = max(1e-9, ...array_map(static fn (Quantity $q): float => abs($q->value), $values));
            $rows[$name] = array_map(static fn (Quantity $q): array => ['value' => $q, 'width' => round(100 * max(0.0, $q->value) / $most,
                1),
                'more' => Quantity::of(abs($q->value - $now->value), $q->unit), 'isMore' => $q->value > $now->value], $values);
        }

        return $rows;
    }
}
