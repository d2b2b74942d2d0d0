<?php

declare(strict_types=1);

namespace App\Hands;

use App\Diary\JobMarkRecord;
use App\Diary\OwnCareRecord;
use App\Diary\OwnJobRecord;
use App\Form\Forms;
use App\Log\ChangeLog;
use App\Rows\BlockRecord;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Diary\OwnCare;
use JollyFurrow\Diary\OwnJob;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Measure\Length;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Jobs of one's own, once or again; and care of a crop by one's own rule. */
final class OwnJobsController extends Page
{
    public function __construct(private readonly Forms $forms, private readonly Snapshot $snapshot, private readonly ChangeLog $log,
        private readonly EntityManagerInterface $entities, private readonly CropBook $crops)
    {
    }

    #[Route('/g/{garden}/own-jobs', name: 'jobs_own', methods: ['GET'])]
    public function list(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $job = self::found($garden, $request->query->getString('job'));
        $typed = null === $job ? new OwnJobData() : OwnJobData::of($job);
        $typed->first ??= $garden->today;

        return $this->show($request, $visit, $garden, $job, $this->jobForm($garden, $typed), null);
    }

    #[Route('/g/{garden}/own-jobs', name: 'jobs_own_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $was = self::found($garden, $request->request->getString('job'));
        $typed = null === $was ? new OwnJobData() : OwnJobData::of($was);
        $form = $this->jobForm($garden, $typed)->submit($request->request->all());
        if (null === $was && \count($garden->diary->ownJobs) >= Limits::OWN_JOBS) {
            Forms::fault($form, 'words', \sprintf('At most %d jobs fit here.', Limits::OWN_JOBS));
        }
        if (!$form->isValid()) {
            return $this->show($request, $visit, $garden, $was, $form, null);
        }
        $job = $typed->job($was->key ?? self::free('j', array_map(static fn (OwnJob $j): string => $j->key, $garden->diary->ownJobs)),
            $garden->today);
        $words = \sprintf('Own job "%s" %s', $job->words, null === $was ? 'added' : 'changed');
        $this->log->record($visit->gardenId, $visit->accountId, $words, function () use ($visit, $was, $job): void {
            $block = $this->entities->getRepository(BlockRecord::class)->findOneBy(['gardenId' => $visit->gardenId,
                'name' => $job->block])?->id;
            null === $was ? $this->entities->persist(new OwnJobRecord($visit->gardenId, $block, $job))
                : $this->row($visit, $was->key)->become($job, $block);
        });

        return $this->kept($visit, $words.'.', $this->generateUrl('jobs_own', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/own-jobs/delete', name: 'jobs_own_delete', methods: ['POST'])]
    public function delete(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $job = self::found($garden, $request->request->getString('job')) ?? throw $this->createNotFoundException('There is no such job.');
        $words = \sprintf('Own job "%s" deleted', $job->words);
        $this->log->record($visit->gardenId, $visit->accountId, $words, function () use ($visit, $job): void {
            $row = $this->row($visit, $job->key);
            foreach ($this->entities->getRepository(JobMarkRecord::class)->findBy(['gardenId' => $visit->gardenId,
                'ownJobId' => $row->id]) as $mark) {
                $this->entities->remove($mark);
            }
            $this->entities->remove($row);
        });

        return $this->kept($visit, $words.'.', $this->generateUrl('jobs_own', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/own-jobs/care', name: 'jobs_own_care', methods: ['POST'])]
    public function keepCare(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $typed = new OwnCareData();
        $form = $this->careForm($typed)->submit($request->request->all());
        if (\count($garden->diary->ownCare) >= Limits::OWN_JOBS) {
            Forms::fault($form, 'words', \sprintf('At most %d rules fit here.', Limits::OWN_JOBS));
        }
        if (!$form->isValid()) {
            $job = new OwnJobData();
            $job->first = $garden->today;

            return $this->show($request, $visit, $garden, null, $this->jobForm($garden, $job), $form);
        }
        $care = $typed->care(self::free('c', array_map(static fn (OwnCare $c): string => $c->key, $garden->diary->ownCare)),
            self::usualBed($garden));
        $words = \sprintf('Care of %s: %s', mb_strtolower($this->crops->get($care->crop)->name), $care->words);
        $this->log->record($visit->gardenId, $visit->accountId, $words,
            fn () => $this->entities->persist(new OwnCareRecord($visit->gardenId,
                $care)));

        return $this->kept($visit, $words.'.', $this->generateUrl('jobs_own', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/own-jobs/care/delete', name: 'jobs_own_care_delete', methods: ['POST'])]
    public function deleteCare(Request $request, Visit $visit): Response
    {
        $row = $this->entities->getRepository(OwnCareRecord::class)->findOneBy(['gardenId' => $visit->gardenId,
            'key' => $request->request->getString('care')]) ?? throw $this->createNotFoundException('There is no such rule.');
        $this->log->record($visit->gardenId, $visit->accountId, 'Rule of care deleted', fn () => $this->entities->remove($row));

        return $this->kept($visit, 'Rule of care deleted.', $this->generateUrl('jobs_own', ['garden' => $visit->gardenId]));
    }

    /** Metres most beds are long. */
    private static function usualBed(Garden $garden): float
    {
        $lengths = array_count_values(array_map(static fn (Bed $bed): int => $bed->length->micrometres, $garden->bedsInUse()));
        arsort($lengths);

        return Length::fromMicrometres((int) (array_key_first($lengths) ?? 25 * Length::METRE))->metres();
    }

    private static function found(Garden $garden, string $key): ?OwnJob
    {
        return array_values(array_filter($garden->diary->ownJobs, static fn (OwnJob $job): bool => $job->key === $key))[0] ?? null;
    }

    /** @param list<string> $taken */
    private static function free(string $letter, array $taken): string
    {
        for ($n = 1; \in_array($letter.$n, $taken, true); ++$n) {
        }

        return $letter.$n;
    }

    private function row(Visit $visit, string $key): OwnJobRecord
    {
        return $this->entities->getRepository(OwnJobRecord::class)->findOneBy(['gardenId' => $visit->gardenId, 'key' => $key])
            ?? throw $this->createNotFoundException('There is no such job.');
    }

    /** @return FormInterface<mixed> */
    private function jobForm(Garden $garden, OwnJobData $typed): FormInterface
    {
        return $this->forms->fresh(OwnJobType::class, $typed, ['blocks' => $garden->blocks]);
    }

    /** @return FormInterface<mixed> */
    private function careForm(OwnCareData $typed): FormInterface
    {
        $crops = [];
        foreach ($this->crops->all() as $crop) {
            $crops += $crop->isFurtherVariety() ? [] : [$crop->name => $crop->item()];
        }
        ksort($crops);

        return $this->forms->fresh(OwnCareType::class, $typed, ['crops' => $crops]);
    }

    /**
     * @param FormInterface<mixed>      $form of the job
     * @param FormInterface<mixed>|null $care null: a fresh one
     */
    private function show(Request $request, Visit $visit, Garden $garden, ?OwnJob $job, FormInterface $form, ?FormInterface $care): Response
    {
        return $this->page($request, 'hands/own_jobs.html.twig', ['visit' => $visit, 'garden' => $garden, 'job' => $job,
            'crops' => $this->crops,
            'form' => $form->createView(), 'care' => ($care ?? $this->careForm(new OwnCareData()))->createView(),
            'isCare' => null !== $care], 'own_jobs', $form->isSubmitted() || null !== $care ? Response::HTTP_UNPROCESSABLE_ENTITY
            : Response::HTTP_OK);
    }
}
