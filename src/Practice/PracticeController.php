<?php

declare(strict_types=1);

namespace App\Practice;

use App\File\GardenReader;
use App\File\GardenWriter;
use App\Rows\PracticeRecord;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\GardenKeeper;
use App\Store\Snapshot;
use App\TakeBack\TakeBack;
use App\TakeBack\WayBack;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Practice;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** A garden to practise in: on to the next day or week, back to the start; and a copy of a real one made for it. */
final class PracticeController extends Page
{
    private const STEPS = ['day' => 1, 'week' => 7];

    #[Route('/g/{garden}/practice/next-{step}', name: 'practice_next', methods: ['POST'], requirements: ['step' => 'day|week'])]
    public function next(Request $request, Visit $visit, string $step, PracticeStep $practice, WayBack $wayBack): Response
    {
        if (null === $visit->practiceDay) {
            throw $this->createNotFoundException('This garden goes by the real calendar.');
        }
        $words = $practice->on($visit, self::STEPS[$step] ?? 1);

        return $this->kept($visit, $words.'.', $this->back($request, $visit, $wayBack));
    }

    /** Everything since practice began is taken back, whoever did it. */
    #[Route('/g/{garden}/practice/start-over', name: 'practice_over', methods: ['POST'])]
    public function startOver(Request $request, Visit $visit, EntityManagerInterface $entities, TakeBack $takeBack,
        WayBack $wayBack): Response
    {
        $record = $entities->getRepository(PracticeRecord::class)->findOneBy(['gardenId' => $visit->gardenId])
            ?? throw $this->createNotFoundException('This garden goes by the real calendar.');
        if (0 === $takeBack->takeBackSince($visit->gardenId, $record->since, $visit->accountId, 'Practice started over')) {
            $this->addFlash('done', 'Practice is at its start already.');

            return $this->redirect($this->back($request, $visit, $wayBack), Response::HTTP_SEE_OTHER);
        }

        return $this->kept($visit, 'Practice started over.', $this->back($request, $visit, $wayBack));
    }

    /** Through the garden file, as if it were brought in: only who makes it is a member, and no link leads there. */
    #[Route('/g/{garden}/practice/copy', name: 'practice_copy', methods: ['POST'])]
    public function copy(Visit $visit, Snapshot $snapshot, GardenWriter $writer, GardenReader $reader, GardenKeeper $keeper): Response
    {
        $garden = $reader->read($writer->write($snapshot->of($visit->gardenId, whole: true)));
        $name = mb_substr('Practice: '.$garden->name, 0, Limits::NAME);
        $id = $keeper->begin($garden->practised(Practice::byChance(), $name), $visit->accountId,
            'Practice garden made from '.$garden->name);
        $this->addFlash('done', 'This is a copy to practise in. Whatever you do here leaves the real garden as it is.');

        return $this->seeOther('wall', ['garden' => $id]);
    }

    private function back(Request $request, Visit $visit, WayBack $wayBack): string
    {
        return $wayBack->to($visit->gardenId, $request->request->getString('back'))
            ?? $this->generateUrl('wall', ['garden' => $visit->gardenId]);
    }
}
