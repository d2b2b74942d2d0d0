<?php

declare(strict_types=1);

namespace App\Nursery;

use App\Log\ChangeLog;
use App\Rows\GardenRecord;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Bench\BenchLoad;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Nursery\PottingMix;
use JollyFurrow\Nursery\Trays;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Shelter\Benches;
use JollyFurrow\Shelter\TrayRoom;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The nursery: what stands in which tray, and the bench week by week against the room there is. */
final class NurseryController extends Page
{
    public function __construct(private readonly Snapshot $snapshot, private readonly CropBook $crops, private readonly ChangeLog $log,
        private readonly EntityManagerInterface $entities)
    {
    }

    #[Route('/g/{garden}/nursery', name: 'nursery', methods: ['GET'])]
    public function nursery(Request $request, Visit $visit): Response
    {
        return $this->show($request, $visit, $this->snapshot->of($visit->gardenId), Entry::fresh());
    }

    #[Route('/g/{garden}/nursery', name: 'nursery_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $entry = new Entry($request->request->all());
        $room = new TrayRoom(...array_map(static fn (string $of): int => $entry->optionalInt($of, 0, TrayRoom::MOST) ?? 0, ['bench', 'mat',
            'outside']));
        if (!$entry->isGood()) {
            return $this->show($request, $visit, $garden, $entry);
        }
        $rules = $garden->settings->rules;
        $this->log->record($visit->gardenId, $visit->accountId, 'Room of the nursery', fn () => $this->entities->find(GardenRecord::class,
            $visit->gardenId)?->choose($garden->settings->ruledBy($rules->wishing(benches: new Benches($rules->benches->warm,
                $rules->benches->cool, $room)))));

        return $this->kept($visit, 'The room of the nursery is saved.', $this->generateUrl('nursery', ['garden' => $visit->gardenId]));
    }

    private function show(Request $request, Visit $visit, Garden $garden, Entry $entry): Response
    {
        $load = BenchLoad::of($garden, $this->crops);
        $trays = InTrays::all($garden, $this->crops);
        $filled = array_values(array_filter($trays, static fn (InTrays $t): bool => Standing::Planned === $t->planting->standing));
        $sowing = array_sum(array_map(static fn (InTrays $t): float => $t->trays->trays, $filled));

        return $this->page($request, 'nursery/nursery.html.twig', ['visit' => $visit, 'garden' => $garden, 'crops' => $this->crops,
            'load' => $load, 'chart' => BenchChart::of($load), 'trays' => $trays, 'sowing' => $sowing,
                'mix' => PottingMix::for(array_map(static fn (InTrays $t): Trays => $t->trays, $filled)),
            'mends' => null === $load->full() ? [] : BenchMends::of($garden, $this->crops, $load->full()),
            'ids' => $this->snapshot->plantingIds($visit->gardenId), 'entry' => $entry], 'nursery', $entry->isGood() ? Response::HTTP_OK
            : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
