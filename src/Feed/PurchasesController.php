<?php

declare(strict_types=1);

namespace App\Feed;

use App\Crop\SheetFile;
use App\Job\Sites;
use App\Shared\Page;
use App\Shared\Visit;
use App\Wording\Formatter;
use JollyFurrow\Purchase\Purchase;
use JollyFurrow\Purchase\Purchases;
use JollyFurrow\Task\Site;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What is to be bought, month by month: feed, compost, seed. */
final class PurchasesController extends Page
{
    public function __construct(private readonly Sites $sites)
    {
    }

    #[Route('/g/{garden}/purchases', name: 'purchases', methods: ['GET'])]
    public function purchases(Request $request, Visit $visit): Response
    {
        $site = $this->sites->of($visit->gardenId);
        $all = self::all($site);
        $months = [];
        foreach ($all as $one) {
            $months[\sprintf('%04d-%02d', $one->by->year(), $one->by->month())][] = $one;
        }

        return $this->page($request, 'feed/purchases.html.twig', ['visit' => $visit, 'garden' => $site->garden, 'months' => $months,
            'costs' => array_sum(array_map(static fn (Purchase $p): float => $p->cents ?? 0.0, $all))], 'purchases');
    }

    /** Kilograms, litres, money in the currency's whole unit, ISO dates. */
    #[Route('/g/{garden}/purchases.csv', name: 'purchases_csv', methods: ['GET'])]
    public function csv(Visit $visit): Response
    {
        $site = $this->sites->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($site->garden->settings));
        $rows = [['by', 'kind', 'what', 'amount', 'unit', 'price']];
        foreach (self::all($site) as $one) {
            $rows[] = [$one->by->iso(), $one->kind->value, $one->what, (string) round($one->amount->value, 1), $one->amount->unit->value,
                null === $one->cents ? '' : number_format($one->cents / 100, 2, '.', '')];
        }

        return new Response(SheetFile::toCsv($rows), headers: ['Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="purchases.csv"', 'Cache-Control' => 'no-store']);
    }

    /** @return list<Purchase> */
    private static function all(Site $site): array
    {
        return null === $site->feeding ? [] : Purchases::of($site->garden, $site->crops, $site->recipes, $site->feeding->plan());
    }
}
