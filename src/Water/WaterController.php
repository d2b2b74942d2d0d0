<?php

declare(strict_types=1);

namespace App\Water;

use App\Books\SoilTables;
use App\Form\Forms;
use App\Job\Sites;
use App\Log\ChangeLog;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Soil\FeedRulesRecord;
use App\Soil\SoilKeeper;
use App\Soil\ValveBedRecord;
use App\Soil\ValveRecord;
use App\Store\Snapshot;
use App\Wording\Formatter;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Irrigation\WaterPlan;
use JollyFurrow\Land\Valve;
use JollyFurrow\Soil\FeedRules;
use JollyFurrow\Task\Site;
use JollyFurrow\Time\Day;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Water by week and valve, against what the source gives. */
final class WaterController extends Page
{
    private const WEEKS = 10;

    public function __construct(private readonly Sites $sites, private readonly Snapshot $snapshot, private readonly Forms $forms,
        private readonly ChangeLog $log, private readonly EntityManagerInterface $entities, private readonly SoilKeeper $keeper,
        private readonly SoilTables $tables)
    {
    }

    #[Route('/g/{garden}/water', name: 'water', methods: ['GET'])]
    public function water(Request $request, Visit $visit): Response
    {
        $site = $this->sites->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($site->garden->settings));
        $valve = self::found($site->garden, $request->query->getString('valve'));

        return $this->show($request, $visit, $site, $valve, $this->forms->fresh(ValveType::class, null === $valve ? new ValveData()
            : ValveData::of($valve, $site->garden->settings->units)), Entry::fresh());
    }

    #[Route('/g/{garden}/water/valve', name: 'water_valve', methods: ['POST'])]
    public function keep(Request $request, Visit $visit): Response
    {
        $site = $this->sites->of($visit->gardenId);
        $garden = $site->garden;
        $this->sayer->speakFor(Formatter::of($garden->settings));
        $was = self::found($garden, $request->request->getString('valve'));
        $typed = null === $was ? new ValveData() : ValveData::of($was, $garden->settings->units);
        $form = $this->forms->sent($request, ValveType::class, $typed);
        $beds = NamedBeds::of($typed->beds, $garden);
        if ([] !== $beds->unknown) {
            Forms::fault($form, 'beds', \sprintf('"%s" is no bed or block here.', mb_substr($beds->unknown[0], 0, 30)));
        }
        if (null === $was && \count($garden->soil->valves) >= Limits::VALVES) {
            Forms::fault($form, 'name', \sprintf('At most %d valves fit here.', Limits::VALVES));
        }
        if (!$form->isValid()) {
            return $this->show($request, $visit, $site, $was, $form, Entry::fresh());
        }
        $valve = $typed->valve($was->key ?? self::free($garden), $beds->beds, $garden->settings->units);
        $this->log->record($visit->gardenId, $visit->accountId, 'Valve '.$valve->name, fn () => $this->keeper->valve($visit->gardenId,
            $valve));

        return $this->kept($visit, 'Valve '.$valve->name.' is saved.', $this->generateUrl('water', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/water/valve/delete', name: 'water_valve_delete', methods: ['POST'])]
    public function delete(Request $request, Visit $visit): Response
    {
        $row = $this->entities->getRepository(ValveRecord::class)->findOneBy(['gardenId' => $visit->gardenId,
            'key' => $request->request->getString('valve')]) ?? throw $this->createNotFoundException('There is no such valve.');
        $this->log->record($visit->gardenId, $visit->accountId, 'A valve deleted', function () use ($visit, $row): void {
            foreach ($this->entities->getRepository(ValveBedRecord::class)->findBy(['gardenId' => $visit->gardenId,
                'valveId' => $row->id]) as $hung) {
                $this->entities->remove($hung);
            }
            $this->entities->remove($row);
        });

        return $this->kept($visit, 'A valve deleted.', $this->generateUrl('water', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/water/source', name: 'water_source', methods: ['POST'])]
    public function source(Request $request, Visit $visit): Response
    {
        $site = $this->sites->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($site->garden->settings));
        $entry = new Entry($request->request->all());
        $litres = '' === trim($entry->raw('litres')) ? null : round($entry->float('litres', 0, 10_000_000)
            * ValveData::each($site->garden->settings->units), 2);
        $hours = $entry->float('hours', 0, 24);
        if (!$entry->isGood()) {
            return $this->show($request, $visit, $site, null, $this->forms->fresh(ValveType::class, new ValveData()), $entry);
        }
        $r = $site->garden->soil->rules;
        $rules = new FeedRules($r->school, $r->basis, $r->compost, $r->over, $r->standingDose, $r->short, $r->mixCents, $r->untested,
            $r->tunnels,
            $r->organic, $r->texture, $litres, $hours);
        $this->log->record($visit->gardenId, $visit->accountId, 'What the source gives', function () use ($visit, $rules): void {
            $row = $this->entities->getRepository(FeedRulesRecord::class)->findOneBy(['gardenId' => $visit->gardenId]);
            null === $row ? $this->entities->persist(new FeedRulesRecord($visit->gardenId, $rules)) : $row->become($rules);
        });

        return $this->kept($visit, 'What the source gives is saved.', $this->generateUrl('water', ['garden' => $visit->gardenId]));
    }

    private static function found(Garden $garden, string $key): ?Valve
    {
        return array_values(array_filter($garden->soil->valves, static fn (Valve $v): bool => $v->key === $key))[0] ?? null;
    }

    private static function free(Garden $garden): string
    {
        for ($n = 1; null !== self::found($garden, 'v'.$n); ++$n) {
        }

        return 'v'.$n;
    }

    /** @param FormInterface<mixed> $form */
    private function show(Request $request, Visit $visit, Site $site, ?Valve $valve, FormInterface $form, Entry $entry): Response
    {
        $plan = WaterPlan::of($site->garden, $site->crops, $site->recipes, $this->tables->water(), $site->weather->outlook, self::WEEKS);
        $dry = array_values(array_filter(array_map(Day::of(...), array_keys($plan->weeks)),
            static fn (Day $d): bool => $plan->short($d) > 0.0));

        return $this->page($request, 'water/water.html.twig', ['visit' => $visit, 'garden' => $site->garden, 'crops' => $site->crops,
            'plan' => $plan, 'chart' => WaterChart::of($plan), 'now' => $site->garden->today->week()->monday(), 'dry' => $dry[0] ?? null,
            'valve' => $valve, 'each' => ValveData::each($site->garden->settings->units), 'form' => $form->createView(),
                'entry' => $entry, 'ids' => $this->snapshot->plantingIds($visit->gardenId)],
            'water', $entry->isGood() ? Forms::status($form) : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
