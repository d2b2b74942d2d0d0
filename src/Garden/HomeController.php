<?php

declare(strict_types=1);

namespace App\Garden;

use App\Codec\UnusableFile;
use App\File\GardenReader;
use App\Rows\Account;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Today;
use App\Store\GardenKeeper;
use Doctrine\DBAL\Connection;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Time\MonthDay;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The gardens of an account: open one, begin one, bring one in from a file. */
final class HomeController extends Page
{
    #[Route('/', name: 'home', methods: ['GET'])]
    public function home(#[CurrentUser] Account $account, Connection $connection): Response
    {
        $gardens = self::gardens($account, $connection);

        return 1 === \count($gardens) ? $this->seeOther('wall', ['garden' => $gardens[0]['id']]) : $this->seeOther('gardens');
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
        $entry = new Entry($request->request->all());
        $name = $entry->text('name', 120);
        $latitude = $entry->float('latitude', -66, 66);
        if (!$entry->isGood()) {
            return $this->show($request, $account, $connection, $entry, []);
        }
        $frost = $latitude < 0 ? ['10-20', '04-20'] : ['05-10', '10-10'];
        $garden = new Garden($name, $today->day(), new Place($name, $latitude, 0, MonthDay::parse($frost[0]),
            MonthDay::parse($frost[1])), Settings::usual(), [], [], [], [], [], [], [], [], PlaceClimate::guessed($latitude,
                0)->timed(true));
        $id = $keeper->begin($garden, $account->id, 'Garden begun');

        return $this->seeOther('standing', ['garden' => $id]);
    }

    #[Route('/gardens/file', name: 'file_import', methods: ['POST'])]
    public function import(Request $request, #[CurrentUser] Account $account, Connection $connection, GardenReader $reader,
        GardenKeeper $keeper): Response
    {
        $file = $request->files->get('file');
        $entry = new Entry([]);
        if (!$file instanceof UploadedFile || !$file->isValid()) {
            $entry->fault('file', 'Choose a garden file to bring in (a .json file written by "Save as a file", at most '.intdiv(Limits::GARDEN_FILE_BYTES, 1_000_000).' MB).');

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

    /** @param list<array{path: string, message: string}> $faults */
    private function show(Request $request, Account $account, Connection $connection, Entry $entry, array $faults): Response
    {
        return $this->page($request, 'garden/gardens.html.twig', ['gardens' => self::gardens($account, $connection), 'entry' => $entry,
            'file_faults' => $faults], 'gardens', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    /** @return list<array<string, mixed>> */
    private static function gardens(Account $account, Connection $connection): array
    {
        return $connection->fetchAllAssociative('SELECT g.id, g.name, g.place_name, m.role, (SELECT COUNT(*) FROM bed b WHERE b.garden_id = g.id) AS beds FROM member m JOIN garden g ON g.id = m.garden_id WHERE m.account_id = ? ORDER BY g.name, g.id', [$account->id]);
    }
}
