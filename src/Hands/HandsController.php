<?php

declare(strict_types=1);

namespace App\Hands;

use App\Diary\WorkerRecord;
use App\Form\Forms;
use App\Log\ChangeLog;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Diary\Worker;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Who works here: hours by weekday, days away. */
final class HandsController extends Page
{
    public function __construct(private readonly Forms $forms, private readonly Snapshot $snapshot, private readonly ChangeLog $log,
        private readonly EntityManagerInterface $entities)
    {
    }

    #[Route('/g/{garden}/hands', name: 'hands', methods: ['GET'])]
    public function hands(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $worker = self::named($garden, $request->query->getString('who'));

        return $this->show($request, $visit, $garden, $worker, $this->forms->fresh(WorkerType::class, null === $worker ? new WorkerData()
            : WorkerData::of($worker), ['slots' => WorkerData::slotsFor($worker)]));
    }

    #[Route('/g/{garden}/hands', name: 'hands_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $was = self::named($garden, $request->request->getString('who'));
        $typed = null === $was ? new WorkerData() : WorkerData::of($was);
        $form = $this->forms->sent($request, WorkerType::class, $typed, ['slots' => WorkerData::slotsFor($was)]);
        $other = self::named($garden, $typed->name);
        if (null !== $other && $other !== $was) {
            Forms::fault($form, 'name', \sprintf('%s is named here already. Add a letter, so that nobody is taken for the other.',
                $typed->name));
        }
        if (null === $was && \count($garden->diary->workers) >= Limits::WORKERS) {
            Forms::fault($form, 'name', \sprintf('At most %d people fit here.', Limits::WORKERS));
        }
        if (!$form->isValid()) {
            return $this->show($request, $visit, $garden, $was, $form);
        }
        $words = \sprintf('Hands: %s %s', $typed->name, null === $was ? 'added' : 'changed');
        $this->log->record($visit->gardenId, $visit->accountId, $words, fn () => null === $was
            ? $this->entities->persist(new WorkerRecord($visit->gardenId, \count($garden->diary->workers), $typed->worker()))
            : $this->row($visit, $was->name)->become($typed->worker()));

        return $this->kept($visit, $words.'.', $this->generateUrl('hands', ['garden' => $visit->gardenId]));
    }

    /** What they ticked keeps their name. */
    #[Route('/g/{garden}/hands/delete', name: 'hands_delete', methods: ['POST'])]
    public function delete(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $worker = self::named($garden, $request->request->getString('who'))
            ?? throw $this->createNotFoundException('Nobody of that name works here.');
        $words = 'Hands: '.$worker->name.' taken off the list';
        $this->log->record($visit->gardenId, $visit->accountId, $words, fn () => $this->entities->remove($this->row($visit,
            $worker->name)));

        return $this->kept($visit, $words.'.', $this->generateUrl('hands', ['garden' => $visit->gardenId]));
    }

    private static function named(Garden $garden, string $name): ?Worker
    {
        foreach ($garden->diary->workers as $worker) {
            if ('' !== $name && $worker->name === $name) {
                return $worker;
            }
        }

        return null;
    }

    /** @return list<float> hours of all, Monday to Sunday */
    private static function together(Garden $garden): array
    {
        return array_map(static fn (int $day): float => array_sum(array_map(static fn (Worker $w): float => $w->hours[$day] ?? 0.0,
            $garden->diary->workers)), range(1, 7));
    }

    private function row(Visit $visit, string $name): WorkerRecord
    {
        return $this->entities->getRepository(WorkerRecord::class)->findOneBy(['gardenId' => $visit->gardenId, 'name' => $name])
            ?? throw $this->createNotFoundException('Nobody of that name works here.');
    }

    /** @param FormInterface<mixed> $form */
    private function show(Request $request, Visit $visit, Garden $garden, ?Worker $worker, FormInterface $form): Response
    {
        return $this->page($request, 'hands/hands.html.twig', ['visit' => $visit, 'garden' => $garden, 'worker' => $worker,
            'together' => self::together($garden),
            'form' => $form->createView()], 'hands', $form->isSubmitted() ? Response::HTTP_UNPROCESSABLE_ENTITY : Response::HTTP_OK);
    }
}
