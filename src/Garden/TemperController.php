<?php

declare(strict_types=1);

namespace App\Garden;

use App\Log\ChangeLog;
use App\Rows\BedRecord;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Quarantine;
use JollyFurrow\Land\Temper;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What a grower knows of a bed: its temper, and families kept off it. */
final class TemperController extends Page
{
    public function __construct(private readonly Snapshot $snapshot, private readonly CropBook $book)
    {
    }

    #[Route('/g/{garden}/bed/{bed}/temper', name: 'temper', methods: ['GET'])]
    public function form(Request $request, Visit $visit, string $bed): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);

        return $this->show($request, $visit, $garden, $this->bed($garden, $bed), Entry::fresh());
    }

    #[Route('/g/{garden}/bed/{bed}/temper', name: 'temper_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit, string $bed, EntityManagerInterface $entities, ChangeLog $log): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $found = $this->bed($garden, $bed);
        $entry = new Entry($request->request->all());
        $pan = '' === $entry->raw('pan') ? null : $entry->length('pan', $garden->settings->units->shortUnit(), 0.02, 2);
        $temper = new Temper(self::one($entry, 'wetness', Temper::WETNESS), self::one($entry, 'warmth', Temper::WARMTH),
            self::one($entry, 'weeds', Temper::WEEDS), self::one($entry, 'shade', Temper::SHADE), $pan, '1' === $entry->raw('water'));
        $quarantine = $this->quarantine($entry, $found, $garden);
        if (!$entry->isGood()) {
            return $this->show($request, $visit, $garden, $found, $entry);
        }
        $words = \sprintf('Bed %s: what it is like', $bed);
        $log->record($visit->gardenId, $visit->accountId, $words,
            static fn () => $entities->getRepository(BedRecord::class)->findOneBy(['gardenId' => $visit->gardenId, 'name' => $bed])?->know($temper,
                $quarantine));

        return $this->kept($visit, $words.' is saved.', $this->generateUrl('bed', ['garden' => $visit->gardenId, 'bed' => $bed]));
    }

    /** @param list<string> $allowed */
    private static function one(Entry $entry, string $field, array $allowed): string
    {
        $is = $entry->oneOf($field, $allowed);

        return \in_array($is, $allowed, true) ? $is : $allowed[0];
    }

    /** @return list<Quarantine> those that stay, and a new one */
    private function quarantine(Entry $entry, Bed $bed, Garden $garden): array
    {
        $lifted = $entry->several('lift');
        $stay = array_values(array_filter($bed->quarantine, static fn (Quarantine $q): bool => !\in_array($q->family, $lifted, true)));
        if ('' === $entry->raw('family')) {
            return $stay;
        }
        $family = $entry->oneOf('family', $this->families());
        $until = $entry->day('until');
        if ($entry->isGood() && $until->isBefore($garden->today)) {
            $entry->fault('until', 'This day has gone by. Write the last day the family is kept off.');
        }

        return [...array_values(array_filter($stay, static fn (Quarantine $q): bool => $q->family !== $family)), new Quarantine($family,
            $until, mb_substr($entry->raw('why'), 0, 200))];
    }

    /** @return list<string> */
    private function families(): array
    {
        $families = array_values(array_unique(array_map(static fn (Crop $c): string => $c->family, $this->book->all())));
        sort($families);

        return $families;
    }

    private function bed(Garden $garden, string $bed): Bed
    {
        return $garden->bedsByName()[$bed] ?? throw $this->createNotFoundException('There is no such bed.');
    }

    private function show(Request $request, Visit $visit, Garden $garden, Bed $bed, Entry $entry): Response
    {
        return $this->page($request, 'garden/temper.html.twig', [
            'visit' => $visit,
            'garden' => $garden,
            'bed' => $bed,
            'entry' => $entry,
            'families' => array_combine($this->families(), $this->families()),
            'pan' => null === $bed->temper->pan ? '' : $garden->settings->units->short($bed->temper->pan),
        ], 'temper', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
