<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Crop\SheetFile;
use App\Form\Forms;
use App\Log\ChangeLog;
use App\Pick\PickLists;
use App\Shared\Page;
use App\Shared\Role;
use App\Shared\Visit;
use App\Storage\StoreKeeper;
use App\Store\Snapshot;
use App\Wording\Formatter;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Keep\Holdings;
use JollyFurrow\Pick\StoreLine;
use JollyFurrow\Storage\Handling;
use JollyFurrow\Storage\HandlingKind;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\Ledger;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Uid\Uuid;

/** Lots: what each harvest made, where it lies and where it went; forward and back on one page. */
final class LotController extends Page
{
    private const SHOWN = 120;
    private const HAND = ['_least' => Role::Hand->value];

    public function __construct(private readonly Forms $forms, private readonly Snapshot $snapshot, private readonly CropBook $crops,
        private readonly ChangeLog $log, private readonly StoreKeeper $keeper, private readonly PickLists $lists)
    {
    }

    #[Route('/g/{garden}/lots', name: 'lots', methods: ['GET'])]
    public function lots(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $wanted = $request->query->getString('crop');
        $lots = array_values(array_filter(array_reverse($garden->store->harvests), static fn (HarvestLot $l): bool => '' === $wanted
            || $l->item === $wanted));

        return $this->page($request, 'harvest/lots.html.twig', ['visit' => $visit, 'garden' => $garden, 'crops' => $this->crops,
            'ledger' => Ledger::on($garden->store, $garden->today), 'lots' => \array_slice($lots, 0, self::SHOWN),
            'more' => max(0, \count($lots) - self::SHOWN), 'wanted' => $wanted, 'items' => array_values(array_unique(array_map(
                static fn (HarvestLot $l): string => $l->item, $garden->store->harvests)))], 'lots');
    }

    /** Every lot and what became of it: units of sale, ISO dates. */
    #[Route('/g/{garden}/lots.csv', name: 'lots_csv', methods: ['GET'], priority: 1)]
    public function csv(Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $ledger = Ledger::on($garden->store, $garden->today);
        $rows = [['lot', 'day', 'crop', 'variety', 'bed', 'as', 'grade', 'unit', 'lifted', 'in store', 'sold', 'lost', 'hours', 'place']];
        foreach ($garden->store->harvests as $lot) {
            $amount = static fn (int $hundredths): string => (string) ($hundredths / 100);
            $rows[] = [$lot->key, $lot->day->iso(), $lot->item, $lot->variety, $lot->bed, $lot->use->value, $lot->grade->value,
                $this->crops->grown($lot->item, $lot->variety)->produce->unit, $amount($lot->hundredths), $amount($ledger->left($lot->key)),
                $amount($ledger->sold($lot->key)), $amount($ledger->culled($lot->key)), null === $lot->minutes ? ''
                : (string) round($lot->minutes / 60, 2), $garden->store->place($lot->place)->name ?? ''];
        }

        return new Response(SheetFile::toCsv($rows), headers: ['Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="lots.csv"', 'Cache-Control' => 'no-store']);
    }

    #[Route('/g/{garden}/lots/{lot}', name: 'lot', methods: ['GET'])]
    public function lot(Request $request, Visit $visit, string $lot): Response
    {
        $garden = $this->opened($visit);
        $found = $this->found($garden, $lot);

        return $this->show($request, $visit, $garden, $found, $this->form($garden, $found, new HandlingData()));
    }

    #[Route('/g/{garden}/lots/{lot}', name: 'lot_handle', methods: ['POST'], defaults: self::HAND)]
    public function handle(Request $request, Visit $visit, string $lot): Response
    {
        $garden = $this->opened($visit);
        $found = $this->found($garden, $lot);
        $typed = new HandlingData();
        $form = $this->form($garden, $found, $typed)->submit($request->request->all());
        $handling = $form->isValid() ? $this->read($garden, $found, $typed, $form) : null;
        if (!$form->isValid() || null === $handling) {
            return $this->show($request, $visit, $garden, $found, $form);
        }
        $crop = $this->crops->grown($found->item, $found->variety);
        $words = HandlingKind::Looked === $handling->kind ? \sprintf('Looked at lot %s', $found->key) : \sprintf('%s %s of lot %s',
            $this->sayer->goods($crop->produce->goods($handling->hundredths / 100)), $this->sayer->word($handling->kind), $found->key);
        $this->log->record($visit->gardenId, $visit->accountId, $words, fn () => $this->keeper->handle($visit->gardenId, [$handling]));

        return $this->kept($visit, $words.'.', $this->generateUrl('lot', ['garden' => $visit->gardenId, 'lot' => $lot]));
    }

    /** Labels for the crates of a lot, or of all that lies in a place. */
    #[Route('/g/{garden}/labels', name: 'lot_labels', methods: ['GET'])]
    public function labels(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $wanted = $request->query->getString('lot');
        $held = array_values(array_filter(Holdings::of($garden, $this->crops)->all, static fn ($h): bool => '' === $wanted
            || $h->lot->key === $wanted));

        return $this->page($request, 'harvest/labels.html.twig', ['visit' => $visit, 'garden' => $garden, 'held' => $held], 'labels');
    }

    /** @param FormInterface<mixed> $form */
    private function read(Garden $garden, HarvestLot $lot, HandlingData $typed, FormInterface $form): ?Handling
    {
        $day = $typed->day ?? $garden->today;
        if ($garden->today->isBefore($day) || $day->isBefore($lot->day)) {
            Forms::fault($form, 'day', 'Choose a day from the harvest to today.');
        }
        // It has to lie there on that day, and not be gone by now.
        $there = min(Ledger::on($garden->store, $garden->today)->at($lot->key, $typed->from),
            Ledger::on($garden->store, $day)->at($lot->key, $typed->from));
        $amount = HandlingKind::Looked === $typed->kind ? 0 : (null === $typed->amount ? $there : (int) round(100 * $typed->amount->units));
        if ($amount > $there) {
            Forms::fault($form, 'amount', 'Only '.$this->sayer->goods($this->crops->grown($lot->item,
                $lot->variety)->produce->goods($there / 100)).' lies there.');
        }
        if (HandlingKind::Looked !== $typed->kind && 0 === $amount) {
            Forms::fault($form, 'amount', 'Nothing of it lies there.');
        }
        $isPlace = null !== $garden->store->place($typed->to);
        if (HandlingKind::Moved === $typed->kind && (!$isPlace || $typed->to === $typed->from)) {
            Forms::fault($form, 'to', 'Choose another place to move it to.');
        }

        return $form->isValid() ? new Handling(Uuid::v7()->toRfc4122(), $lot->key, $day, $typed->kind, $amount, $typed->from,
            (HandlingKind::Moved === $typed->kind) === $isPlace ? $typed->to : '', $typed->words) : null;
    }

    /** @return FormInterface<mixed> */
    private function form(Garden $garden, HarvestLot $lot, HandlingData $typed): FormInterface
    {
        $typed->day ??= $garden->today;
        $there = Ledger::on($garden->store, $garden->today)->there[$lot->key] ?? [];
        $from = $to = [];
        foreach ($garden->store->places as $place) {
            isset($there[$place->key]) ? $from[$place->name] = $place->key : null;
            $to[$place->name] = $place->key;
        }
        foreach ($garden->outlets as $outlet) {
            $to[$outlet->name] = $outlet->key;
        }

        return $this->forms->fresh(HandlingType::class, $typed, ['produce' => $this->crops->grown($lot->item, $lot->variety)->produce,
            'from' => $from, 'to' => ['nobody named' => '', ...$to]]);
    }

    /** @param FormInterface<mixed> $form */
    private function show(Request $request, Visit $visit, Garden $garden, HarvestLot $lot, FormInterface $form): Response
    {
        $held = array_values(array_filter(Holdings::of($garden, $this->crops)->all, static fn ($h): bool => $h->lot->key === $lot->key));

        return $this->page($request, 'harvest/lot.html.twig', ['visit' => $visit, 'garden' => $garden, 'lot' => $lot,
            'crop' => $this->crops->grown($lot->item, $lot->variety), 'planting' => $garden->plantings->get($lot->planting),
            'ids' => $this->snapshot->plantingIds($visit->gardenId), 'ledger' => Ledger::on($garden->store, $garden->today),
            'held' => $held, 'reserved' => [] === $held ? [] : array_values(array_filter($this->lists->of($visit->gardenId)[1]->stored,
                static fn (StoreLine $l): bool => $l->holding->lot->key === $lot->key)),
            'handlings' => array_values(array_filter($garden->store->handlings, static fn (Handling $h): bool => $h->lot === $lot->key)),
            'names' => self::names($garden), 'form' => $form->createView()], 'lot', Forms::status($form));
    }

    /** @return array<string, string> what places and outlets are called, by key */
    private static function names(Garden $garden): array
    {
        $names = [];
        foreach ([...$garden->outlets, ...$garden->store->places] as $one) {
            $names[$one->key] = $one->name;
        }

        return $names;
    }

    private function found(Garden $garden, string $lot): HarvestLot
    {
        return $garden->store->lot($lot) ?? throw $this->createNotFoundException('There is no such lot.');
    }

    private function opened(Visit $visit): Garden
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($garden->settings));

        return $garden;
    }
}
