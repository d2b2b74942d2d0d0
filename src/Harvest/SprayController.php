<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Form\Forms;
use App\Log\ChangeLog;
use App\Shared\Page;
use App\Shared\Visit;
use App\Storage\SprayBedRecord;
use App\Storage\SprayRecord;
use App\Storage\StoreKeeper;
use App\Store\Snapshot;
use App\Water\NamedBeds;
use App\Wording\Formatter;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Stock\SprayCost;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Uid\Uuid;

/** Treatments as a record: what they cost before they are saved, what they keep off afterwards. Nothing is recommended. */
final class SprayController extends Page
{
    private const SHOWN = 60;

    public function __construct(private readonly Forms $forms, private readonly Snapshot $snapshot, private readonly CropBook $crops,
        private readonly ChangeLog $log, private readonly StoreKeeper $keeper, private readonly EntityManagerInterface $entities)
    {
    }

    #[Route('/g/{garden}/sprays', name: 'sprays', methods: ['GET'])]
    public function sprays(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $typed = new SprayData();
        $typed->day = $garden->today;

        return $this->show($request, $visit, $garden, $this->forms->fresh(SprayType::class, $typed), null);
    }

    /** Shows what it costs first; saves when it was shown. */
    #[Route('/g/{garden}/sprays', name: 'sprays_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $typed = new SprayData();
        $form = $this->forms->sent($request, SprayType::class, $typed);
        $beds = NamedBeds::of($typed->beds, $garden);
        if ([] !== $beds->unknown) {
            Forms::fault($form, 'beds', \sprintf('"%s" is no bed or block here.', mb_substr($beds->unknown[0], 0, 30)));
        }
        if (null !== $typed->day && $garden->today->isBefore($typed->day)) {
            Forms::fault($form, 'day', 'That day is still to come.');
        }
        if (\count($garden->sprays->sprays) >= Limits::SPRAYS) {
            Forms::fault($form, 'product', \sprintf('At most %d treatments fit here.', Limits::SPRAYS));
        }
        if (!$form->isValid()) {
            return $this->show($request, $visit, $garden, $form, null);
        }
        $spray = $typed->spray(substr(Uuid::v7()->toRfc4122(), 0, 36), $beds->beds, $garden);
        if ('keep' !== $request->request->getString('do')) {
            return $this->show($request, $visit, $garden, $form, SprayCost::of($garden, $this->crops, $spray));
        }
        $words = \sprintf('%s on %s', $spray->product, $typed->beds);
        $this->log->record($visit->gardenId, $visit->accountId, $words, fn () => $this->keeper->spray($visit->gardenId, $spray));

        return $this->kept($visit, \sprintf('%s: no harvest there before %s.', $words, $this->sayer->formatter()->weekday(
            $spray->harvestFrom())->text), $this->generateUrl('sprays', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/sprays/delete', name: 'sprays_delete', methods: ['POST'])]
    public function delete(Request $request, Visit $visit): Response
    {
        $row = $this->entities->getRepository(SprayRecord::class)->findOneBy(['gardenId' => $visit->gardenId,
            'key' => $request->request->getString('spray')]) ?? throw $this->createNotFoundException('There is no such treatment.');
        $this->log->record($visit->gardenId, $visit->accountId, 'A treatment deleted', function () use ($visit, $row): void {
            foreach ($this->entities->getRepository(SprayBedRecord::class)->findBy(['gardenId' => $visit->gardenId,
                'sprayId' => $row->id]) as $bed) {
                $this->entities->remove($bed);
            }
            $this->entities->remove($row);
        });

        return $this->kept($visit, 'A treatment deleted.', $this->generateUrl('sprays', ['garden' => $visit->gardenId]));
    }

    /** @param FormInterface<mixed> $form */
    private function show(Request $request, Visit $visit, Garden $garden, FormInterface $form, ?SprayCost $cost): Response
    {
        return $this->page($request, 'harvest/sprays.html.twig', ['visit' => $visit, 'garden' => $garden, 'crops' => $this->crops,
            'form' => $form->createView(), 'cost' => $cost,
                'sprays' => \array_slice(array_reverse($garden->sprays->sprays), 0, self::SHOWN)],
            'sprays', Forms::status($form));
    }

    private function opened(Visit $visit): Garden
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($garden->settings));

        return $garden;
    }
}
