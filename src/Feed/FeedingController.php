<?php

declare(strict_types=1);

namespace App\Feed;

use App\Form\Forms;
use App\Job\Sites;
use App\Log\ChangeLog;
use App\Shared\Page;
use App\Shared\Visit;
use App\Soil\FeedRulesRecord;
use App\Store\Snapshot;
use App\Wording\Formatter;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Feed\PlantingFeed;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Task\Site;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What is fed to whom: mixes by week and block, and the sums behind each planting. */
final class FeedingController extends Page
{
    private const WEEKS = 4;

    public function __construct(private readonly Sites $sites, private readonly Snapshot $snapshot, private readonly Forms $forms,
        private readonly ChangeLog $log, private readonly EntityManagerInterface $entities)
    {
    }

    #[Route('/g/{garden}/feeding', name: 'feeding', methods: ['GET'])]
    public function feeding(Request $request, Visit $visit): Response
    {
        $site = $this->sites->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($site->garden->settings));

        return $this->show($request, $visit, $site, $this->forms->fresh(RulesType::class, RulesData::of($site->garden->soil->rules,
            $site->garden->settings->units)));
    }

    /** The mixes of the next four weeks, a card each, to hang up where they are weighed. */
    #[Route('/g/{garden}/feeding/cards', name: 'feeding_cards', methods: ['GET'])]
    public function cards(Request $request, Visit $visit): Response
    {
        $site = $this->sites->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($site->garden->settings));

        return $this->page($request, 'feed/cards.html.twig', ['visit' => $visit, 'garden' => $site->garden,
            'weeks' => [] === $site->garden->soil->shed ? [] : WeekFeed::all($site, self::WEEKS)], 'cards');
    }

    #[Route('/g/{garden}/feeding', name: 'feeding_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit): Response
    {
        $site = $this->sites->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($site->garden->settings));
        $was = $site->garden->soil->rules;
        $typed = RulesData::of($was, $site->garden->settings->units);
        $form = $this->forms->sent($request, RulesType::class, $typed);
        if (!$form->isValid()) {
            return $this->show($request, $visit, $site, $form);
        }
        $rules = $typed->rules($was);
        $this->log->record($visit->gardenId, $visit->accountId, 'How the garden feeds', function () use ($visit, $rules): void {
            $row = $this->entities->getRepository(FeedRulesRecord::class)->findOneBy(['gardenId' => $visit->gardenId]);
            null === $row ? $this->entities->persist(new FeedRulesRecord($visit->gardenId, $rules)) : $row->become($rules);
        });

        return $this->kept($visit, 'How the garden feeds is saved.', $this->generateUrl('feeding', ['garden' => $visit->gardenId]));
    }

    /** @param FormInterface<mixed> $form */
    private function show(Request $request, Visit $visit, Site $site, FormInterface $form): Response
    {
        $fed = array_values(array_filter($site->feeding?->plan()->plantings ?? [], static fn (PlantingFeed $f): bool => [] !== $f->pieces
            && Standing::Cleared !== $f->planting->standing && !$f->planting->clear->isBefore($site->garden->today)));

        return $this->page($request, 'feed/feeding.html.twig', ['visit' => $visit, 'garden' => $site->garden, 'crops' => $site->crops,
            'weeks' => [] === $site->garden->soil->shed ? [] : WeekFeed::all($site, self::WEEKS), 'fed' => $fed,
            'ids' => $this->snapshot->plantingIds($visit->gardenId), 'form' => $form->createView()], 'feeding', Forms::status($form));
    }
}
