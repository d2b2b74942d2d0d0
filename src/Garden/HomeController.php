<?php

declare(strict_types=1);

namespace App\Garden;

use App\Climate\TypedMonths;
use App\Codec\UnusableFile;
use App\File\GardenReader;
use App\Form\Forms;
use App\Rows\Account;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Today;
use App\Store\GardenKeeper;
use Doctrine\DBAL\Connection;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Measure\Units;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The gardens of an account: open one, begin one, bring one in from a file. */
final class HomeController extends Page
{
    public function __construct(private readonly Forms $forms)
    {
    }

    #[Route('/', name: 'home', methods: ['GET'])]
    public function home(#[CurrentUser] Account $account, Connection $connection): Response
    {
        $gardens = self::gardens($account, $connection);

        return 1 === \count($gardens) ? $this->seeOther('week', ['garden' => $gardens[0]['id']]) : $this->seeOther('gardens');
    }

    #[Route('/gardens', name: 'gardens', methods: ['GET'])]
    public function list(Request $request, #[CurrentUser] Account $account, Connection $connection): Response
    {
        return $this->show($request, $account, $connection, Entry::fresh(), []);
    }

    #[Route('/gardens', name: 'garden_begin', methods: ['POST'])]
    public function begin(Request $request, #[CurrentUser] Account $account, Connection $connection, GardenKeeper $keeper,
        Today $today): Response
    {
        $typed = new NewGarden();
        $form = $this->forms->sent($request, NewGardenType::class, $typed);
        $months = '' === trim($typed->months) ? null : TypedMonths::of($typed->months, Units::UsCustomary === $typed->units,
            Units::UsCustomary === $typed->units);
        if (null !== $months && null === $months->months) {
            Forms::fault($form, 'months', $months->fault);
        }
        if (!$form->isValid()) {
            return $this->show($request, $account, $connection, Entry::fresh(), [], $form);
        }
        $id = $keeper->begin($typed->garden($today->day($typed->timeZone()), $months?->months), $account->id, 'Garden begun');

        return $this->seeOther('standing', ['garden' => $id]);
    }

    #[Route('/gardens/file', name: 'file_import', methods: ['POST'])]
    public function import(Request $request, #[CurrentUser] Account $account, Connection $connection, GardenReader $reader,
        GardenKeeper $keeper): Response
    {
        $file = $request->files->get('file');
        $entry = new Entry([]);
        if (!$file instanceof UploadedFile || !$file->isValid()) {
            $entry->fault('file',
                'Choose a garden file to bring in (a .json file written by "Save as a file", at most '.intdiv(Limits::GARDEN_FILE_BYTES,
                    1_000_000).' MB).');

            return $this->show($request, $account, $connection, $entry, []);
        }
        try {
            $garden = $reader->read((string) file_get_contents($file->getPathname(), length: Limits::GARDEN_FILE_BYTES + 1));
        } catch (UnusableFile $bad) {
            $entry->fault('file', $bad->getMessage());

            return $this->show($request, $account, $connection, $entry, \array_slice($bad->faults, 0, 20));
        }
        $id = $keeper->begin($garden, $account->id, 'Garden brought in from a file');

        return $this->seeOther('wall', ['garden' => $id]);
    }

    /**
     * @param list<array{path: string, message: string}> $faults of a file
     * @param FormInterface<mixed>|null                  $begin
     */
    private function show(Request $request, Account $account, Connection $connection, Entry $entry, array $faults,
        ?FormInterface $begin = null): Response
    {
        $begin ??= $this->forms->fresh(NewGardenType::class, new NewGarden());
        $status = $entry->isGood() ? Forms::status($begin) : Response::HTTP_UNPROCESSABLE_ENTITY;

        return $this->page($request, 'garden/gardens.html.twig', ['gardens' => self::gardens($account, $connection), 'entry' => $entry,
            'file_faults' => $faults, 'begin' => $begin->createView()], 'gardens', $status);
    }

    /** @return list<array<string, mixed>> */
    private static function gardens(Account $account, Connection $connection): array
    {
        return $connection->fetchAllAssociative('SELECT g.id, g.name, g.place_name, m.role, (SELECT COUNT(*) FROM bed b WHERE b.garden_id = g.id) AS beds, (SELECT 1 FROM practice p WHERE p.garden_id = g.id) AS practice FROM member m JOIN garden g ON g.id = m.garden_id WHERE m.account_id = ? ORDER BY g.name, g.id', [$account->id]);
    }
}
