<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Books\StoreTables;
use App\Form\Forms;
use App\Log\Meanwhile;
use App\Log\Once;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Role;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Wording\Formatter;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Readiness\HarvestUse;
use JollyFurrow\Storage\Grade;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\ScaleStream;
use JollyFurrow\Storage\StorePlace;
use JollyFurrow\Treatment\MayNotBePicked;
use Symfony\Component\Form\FormError;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** A harvest logged in three taps: what, how much, save; or a whole sheet typed back at once. */
final class HarvestController extends Page
{
    private const SOON = 5;
    /** An empty crate, grams (common practice, no source). */
    private const CRATE = 1500.0;
    private const MOST_GRAMS = 100_000_000.0;
    private const HAND = ['_least' => Role::Hand->value];

    public function __construct(private readonly Forms $forms, private readonly Snapshot $snapshot, private readonly CropBook $crops,
        private readonly Harvesting $harvesting, private readonly Scale $scale, private readonly StoreTables $tables)
    {
    }

    #[Route('/g/{garden}/harvest', name: 'harvest', methods: ['GET'])]
    public function harvest(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $planting = $this->snapshot->planting($visit->gardenId, $request->query->getString('planting'), $garden);

        $typed = new HarvestData();
        $units = $request->query->getInt('units');
        if (null !== $planting && $units > 0) {
            $typed->amount = $this->crops->grown($planting->item, $planting->variety)->produce->goods((float) $units);
        }

        return $this->show($request, $visit, $garden, $planting, null === $planting ? null : $this->form($garden, $planting, $typed));
    }

    /** What a phone without reception kept comes here too, with a token, and is answered in short. */
    #[Route('/g/{garden}/harvest', name: 'harvest_keep', methods: ['POST'], defaults: self::HAND)]
    public function keep(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $planting = $this->snapshot->planting($visit->gardenId, $request->request->getString('planting'), $garden)
            ?? throw $this->createNotFoundException('There is no such planting.');
        $typed = new HarvestData();
        $isSentLater = 'json' === $request->getPreferredFormat();
        $form = $this->form($garden, $planting, $typed)->submit($request->request->all());
        if ($request->request->has('scale') && $this->scale->isThere($garden)) {
            return $this->weighed($request, $visit, $garden, $planting, $typed);
        }
        $day = $typed->day ?? $garden->today;
        if ($garden->today->isBefore($day)) {
            Forms::fault($form, 'day', 'That day is still to come.');
        }
        if (null !== $typed->amount && $typed->amount->units <= 0.0) {
            Forms::fault($form, 'amount', 'Nothing is no harvest. Write how much it was.');
        }
        if ($form->isValid()) {
            try {
                $words = $this->harvesting->keep($visit->gardenId, $visit->accountId, [$typed->lot('', $planting, $garden->today)],
                    $typed->isLast ? [$planting->key] : [], $isSentLater ? mb_substr($request->request->getString('token'), 0, Once::TOKEN)
                        : '');
                if ($isSentLater) {
                    return new JsonResponse(['kept' => $words]);
                }

                return $this->kept($visit, $words.'.', $this->generateUrl('harvest', ['garden' => $visit->gardenId]));
            } catch (MayNotBePicked $not) {
                Forms::fault($form, 'day', $this->sayer->why($not));
            } catch (Meanwhile $meanwhile) {
                Forms::fault($form, 'amount', $this->sayer->why($meanwhile));
            }
        }

        return $isSentLater ? new JsonResponse(['problem' => implode(' ', array_map(static fn (FormError $e): string => $e->getMessage(),
            array_filter(iterator_to_array($form->getErrors(true)), static fn ($e): bool => $e instanceof FormError)))],
            Response::HTTP_UNPROCESSABLE_ENTITY) : $this->show($request, $visit, $garden, $planting, $form);
    }

    /** The form with what the scale came to rest at, or with what is wrong; nothing is saved yet. */
    private function weighed(Request $request, Visit $visit, Garden $garden, Planting $planting, HarvestData $typed): Response
    {
        $produce = $this->crops->grown($planting->item, $planting->variety)->produce;
        $tare = $typed->crates * self::CRATE;
        $about = 100 * ($typed->amount->units ?? $planting->yieldPerMetre() * min(4.0, $planting->bedMetres()));
        $read = ScaleStream::read($this->scale->lines($planting, $about + $tare), $tare);
        $typed->amount = null === $read->grams ? $typed->amount : $produce->goods(round($read->grams / 100, 2));
        $form = $this->form($garden, $planting, $typed);
        null === $read->fault ?: $form->get('amount')->addError(new FormError($this->sayer->word($read->fault)));

        return $this->show($request, $visit, $garden, $planting, $form);
    }

    /** Back from paper: one line a planting, empty lines are skipped. */
    #[Route('/g/{garden}/harvest/sheet', name: 'harvest_sheet', methods: ['GET'])]
    public function sheet(Request $request, Visit $visit): Response
    {
        return $this->paper($request, $visit, $this->opened($visit), Entry::fresh());
    }

    #[Route('/g/{garden}/harvest/sheet', name: 'harvest_sheet_keep', methods: ['POST'], defaults: self::HAND)]
    public function keepSheet(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $entry = new Entry($request->request->all());
        $day = '' === $entry->raw('day') ? $garden->today : $entry->day('day');
        if ($garden->today->isBefore($day)) {
            $entry->fault('day', 'That day is still to come.');
        }
        if ('' !== $entry->raw('place') && null === $garden->store->place($entry->raw('place'))) {
            $entry->fault('day', 'That place is not there any more. Choose another one.');
        }
        $ids = $this->snapshot->plantingIds($visit->gardenId);
        $lots = [];
        foreach (Harvesting::ready($garden, $garden->today->plus(self::SOON)) as $planting) {
            $field = 'a-'.($ids[$planting->key] ?? '');
            $amount = '' === $entry->raw($field) ? null : $this->amount($entry, $field, $planting);
            if (null !== $amount) {
                $lots[] = new HarvestLot('', $day, $planting->item, $planting->variety, $planting->key, $planting->pieces[0]->bed,
                    Grade::First, $amount, place: $entry->raw('place'));
            }
        }
        if ([] === $lots && $entry->isGood()) {
            $entry->fault('day', 'Write how much it was on at least one line.');
        }
        if ([] !== $lots && $entry->isGood()) {
            try {
                return $this->kept($visit, $this->harvesting->keep($visit->gardenId, $visit->accountId, $lots).'.',
                    $this->generateUrl('harvest', ['garden' => $visit->gardenId]));
            } catch (MayNotBePicked|Meanwhile $not) {
                $entry->fault('day', $this->sayer->why($not));
            }
        }

        return $this->paper($request, $visit, $garden, $entry);
    }

    /** Hundredths of a unit. */
    private function amount(Entry $entry, string $field, Planting $planting): int
    {
        $produce = $this->crops->grown($planting->item, $planting->variety)->produce;
        if ($produce->isByWeight()) {
            return (int) round($entry->mass($field, $this->sayer->formatter()->units, self::MOST_GRAMS)->grams);
        }

        return 100 * $entry->int($field, 0, 1_000_000);
    }

    private function paper(Request $request, Visit $visit, Garden $garden, Entry $entry): Response
    {
        return $this->page($request, 'harvest/sheet.html.twig', ['visit' => $visit, 'garden' => $garden, 'crops' => $this->crops,
            'entry' => $entry, 'ready' => Harvesting::ready($garden, $garden->today->plus(self::SOON)),
            'ids' => $this->snapshot->plantingIds($visit->gardenId)], 'sheet', $entry->isGood() ? Response::HTTP_OK
                : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    /** @param FormInterface<mixed>|null $form */
    private function show(Request $request, Visit $visit, Garden $garden, ?Planting $planting, ?FormInterface $form): Response
    {
        return $this->page($request, 'harvest/harvest.html.twig', ['visit' => $visit, 'garden' => $garden, 'crops' => $this->crops,
            'planting' => $planting, 'cards' => null === $planting ? []
                : $this->tables->readiness()->of($this->crops->grown($planting->item,
                    $planting->variety)), 'form' => $form?->createView(), 'ready' => Harvesting::ready($garden,
                        $garden->today->plus(self::SOON)), 'ids' => $this->snapshot->plantingIds($visit->gardenId),
            'young' => $this->harvesting->young($garden, $garden->today->plus(self::SOON)),
                'lots' => \array_slice(array_reverse($garden->store->harvests), 0, 8)], 'harvest', null === $form ? Response::HTTP_OK
                        : Forms::status($form));
    }

    /** @return FormInterface<mixed> */
    private function form(Garden $garden, Planting $planting, HarvestData $typed): FormInterface
    {
        $typed->day ??= $garden->today;
        $typed->who = 1 === \count($garden->diary->workers) ? $garden->diary->workers[0]->name : '';
        $beds = array_values(array_unique(array_map(static fn (Stretch $s): string => $s->bed, $planting->pieces)));
        $places = array_combine(array_map(static fn (StorePlace $p): string => $p->name, $garden->store->places),
            array_map(static fn (StorePlace $p): string => $p->key, $garden->store->places));

        $crop = $this->crops->grown($planting->item, $planting->variety);

        return $this->forms->fresh(HarvestType::class, $typed, ['produce' => $crop->produce, 'uses' => $this->uses($crop),
            'beds' => array_combine($beds, $beds), 'places' => $places,
            'scale' => $this->scale->isThere($garden)]);
    }

    /** @return list<HarvestUse> as usual first */
    private function uses(Crop $crop): array
    {
        return [HarvestUse::Usual, ...array_values(array_filter($this->tables->readiness()->uses($crop),
            static fn (HarvestUse $use): bool => HarvestUse::Usual !== $use))];
    }

    private function opened(Visit $visit): Garden
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($garden->settings));

        return $garden;
    }
}
