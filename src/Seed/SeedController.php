<?php

declare(strict_types=1);

namespace App\Seed;

use App\Crop\SheetFile;
use App\Diary\SeedLotRecord;
use App\Form\Forms;
use App\Log\ChangeLog;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Wording\Formatter;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Diary\SeedLot;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Seed\SeedBalance;
use JollyFurrow\Seed\VarietySeed;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Seed and planting stock: what the plan needs, what is in the drawer, what to order of whom. */
final class SeedController extends Page
{
    public function __construct(private readonly Forms $forms, private readonly Snapshot $snapshot, private readonly CropBook $crops,
        private readonly ChangeLog $log, private readonly EntityManagerInterface $entities)
    {
    }

    #[Route('/g/{garden}/seed', name: 'seed', methods: ['GET'])]
    public function seed(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($garden->settings));
        $lot = self::found($garden, $request->query->getString('lot'));
        $typed = null === $lot ? new SeedLotData() : SeedLotData::of($lot);
        $typed->counted ??= $garden->today;
        $typed->year ??= $garden->today->year();
        $typed->variety = '' === $typed->variety && $this->crops->has($request->query->getString('variety'))
            ? $request->query->getString('variety') : $typed->variety;

        return $this->show($request, $visit, $garden, $lot, $this->forms->fresh(SeedLotType::class, $typed));
    }

    #[Route('/g/{garden}/seed', name: 'seed_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($garden->settings));
        $was = self::found($garden, $request->request->getString('lot'));
        $typed = null === $was ? new SeedLotData() : SeedLotData::of($was);
        $form = $this->forms->sent($request, SeedLotType::class, $typed);
        if (null === $was && \count($garden->diary->seedLots) >= Limits::OWN_JOBS) {
            Forms::fault($form, 'variety', \sprintf('At most %d lots fit here.', Limits::OWN_JOBS));
        }
        if (!$form->isValid()) {
            return $this->show($request, $visit, $garden, $was, $form);
        }
        $lot = $typed->lot($was->key ?? self::free($garden), $garden->today);
        $words = \sprintf('Seed of %s: %s', $this->crops->get($lot->variety)->name, null === $was ? 'a lot added' : 'a lot changed');
        $this->log->record($visit->gardenId, $visit->accountId, $words, fn () => null === $was
            ? $this->entities->persist(new SeedLotRecord($visit->gardenId, $lot)) : $this->row($visit, $was->key)->become($lot));

        return $this->kept($visit, $words.'.', $this->generateUrl('seed', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/seed/delete', name: 'seed_delete', methods: ['POST'])]
    public function delete(Request $request, Visit $visit): Response
    {
        $row = $this->row($visit, $request->request->getString('lot'));
        $this->log->record($visit->gardenId, $visit->accountId, 'A lot of seed deleted', fn () => $this->entities->remove($row));

        return $this->kept($visit, 'A lot of seed deleted.', $this->generateUrl('seed', ['garden' => $visit->gardenId]));
    }

    /** The order, supplier by supplier; grams, money in the currency's whole unit, ISO dates. */
    #[Route('/g/{garden}/seed/order.csv', name: 'seed_order', methods: ['GET'])]
    public function order(Visit $visit): Response
    {
        $rows = [['supplier', 'crop', 'variety', 'need g', 'in the drawer g', 'short g', 'packet g', 'packets', 'price']];
        foreach (self::bySupplier(SeedBalance::of($this->snapshot->of($visit->gardenId), $this->crops)) as $supplier => $list) {
            foreach ($list as $seed) {
                $rows[] = [(string) $supplier, $seed->crop->name, $seed->crop->variety, (string) round($seed->need, 2),
                    (string) round($seed->left(), 2), (string) round($seed->short, 2), (string) $seed->packet, (string) $seed->packets,
                    null === $seed->cents ? '' : number_format($seed->cents * $seed->packets / 100, 2, '.', '')];
            }
        }

        return new Response(SheetFile::toCsv($rows), headers: ['Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="seed-order.csv"', 'Cache-Control' => 'no-store']);
    }

    /**
     * @param list<VarietySeed> $all
     *
     * @return array<string, list<VarietySeed>> what is to be ordered
     */
    private static function bySupplier(array $all): array
    {
        $orders = [];
        foreach ($all as $seed) {
            if ($seed->packets > 0) {
                $orders[$seed->supplier][] = $seed;
            }
        }
        ksort($orders);

        return $orders;
    }

    private static function found(Garden $garden, string $key): ?SeedLot
    {
        return array_values(array_filter($garden->diary->seedLots, static fn (SeedLot $lot): bool => $lot->key === $key))[0] ?? null;
    }

    private static function free(Garden $garden): string
    {
        for ($n = 1; null !== self::found($garden, 's'.$n); ++$n) {
        }

        return 's'.$n;
    }

    private function row(Visit $visit, string $key): SeedLotRecord
    {
        return $this->entities->getRepository(SeedLotRecord::class)->findOneBy(['gardenId' => $visit->gardenId, 'key' => $key])
            ?? throw $this->createNotFoundException('There is no such lot.');
    }

    /** @return array<string, string> what is sown in beds, by key */
    private function names(): array
    {
        $names = [];
        foreach ($this->crops->all() as $crop) {
            $names += $crop->isFurtherVariety() || !$crop->habits->stock->isSeed() ? [] : [$crop->key => $crop->name];
        }
        asort($names);

        return ['' => ''] + $names;
    }

    /** @param FormInterface<mixed> $form */
    private function show(Request $request, Visit $visit, Garden $garden, ?SeedLot $lot, FormInterface $form): Response
    {
        $all = SeedBalance::of($garden, $this->crops);
        $orders = self::bySupplier($all);

        return $this->page($request, 'seed/seed.html.twig', ['visit' => $visit, 'garden' => $garden, 'seeds' => $all, 'orders' => $orders,
            'costs' => array_sum(array_map(static fn (VarietySeed $s): int => ($s->cents ?? 0) * $s->packets,
                array_merge(...array_values($orders ?: [[]])))),
            'rate' => RateAsked::of(new Entry($request->query->all()), $garden, $this->crops),
            'names' => $this->names(), 'lot' => $lot, 'form' => $form->createView()], 'seed',
            $form->isSubmitted() ? Response::HTTP_UNPROCESSABLE_ENTITY : Response::HTTP_OK);
    }
}
