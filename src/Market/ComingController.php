<?php

declare(strict_types=1);

namespace App\Market;

use App\Crop\SheetFile;
use App\Links\LinkKind;
use App\Links\SecretLinks;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Wording\Formatter;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Forecast\ComingUp;
use JollyFurrow\Forecast\MarketForecast;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Outlet;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** What is coming up for each outlet, to be printed, sent, or looked at by the buyer behind an address with a secret. */
final class ComingController extends Page
{
    public const DAYS = 28;

    public function __construct(private readonly Snapshot $snapshot, private readonly CropBook $crops, private readonly SecretLinks $links)
    {
    }

    #[Route('/g/{garden}/coming', name: 'coming', methods: ['GET'])]
    public function coming(Request $request, Visit $visit): Response
    {
        [$garden, $outlet, $coming] = $this->asked($request, $visit);

        return $this->page($request, 'market/coming.html.twig', ['visit' => $visit, 'garden' => $garden, 'outlet' => $outlet,
            'coming' => $coming, 'terms' => null === $outlet ? null : $garden->market->termsOf($outlet->key), 'links' => array_values(
                array_filter($this->links->ofGarden(LinkKind::Buyer, $visit->gardenId),
                    static fn ($l): bool => $l->note === $outlet?->key))],
            'coming');
    }

    /** By market day and product: amounts, price in the garden's currency, ISO dates. */
    #[Route('/g/{garden}/coming.csv', name: 'coming_csv', methods: ['GET'])]
    public function csv(Request $request, Visit $visit): Response
    {
        [, $outlet, $coming] = $this->asked($request, $visit);
        $rows = [['day', 'product', 'unit', 'sure', 'likely', 'promised', 'ordered', 'price', 'until']];
        foreach ($coming->days ?? [] as $lines) {
            foreach ($lines as $l) {
                $rows[] = [$l->day->iso(), $l->product->name, $l->product->unit, (string) $l->sure, (string) $l->likely,
                    (string) $l->promised, (string) $l->ordered, \sprintf('%.2f', $l->price->each->cents / 100), $l->until?->iso() ?? ''];
            }
        }

        return new Response(SheetFile::toCsv($rows), headers: ['Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="coming-up-'.($outlet->key ?? 'nobody').'.csv"', 'Cache-Control' => 'no-store']);
    }

    #[Route('/g/{garden}/coming/link', name: 'coming_link', methods: ['POST'])]
    public function link(Request $request, Visit $visit): Response
    {
        [, $outlet] = $this->asked($request, $visit);
        if (null === $outlet) {
            throw $this->createNotFoundException('There is no such outlet.');
        }
        $secret = $this->links->make(LinkKind::Buyer, ['garden_id' => $visit->gardenId, 'made_by' => $visit->accountId,
            'note' => $outlet->key]);
        $this->addFlash('done', 'Send this address to '.$outlet->name.'; it is not shown again: '.$this->generateUrl('buyer',
            ['secret' => $secret], UrlGeneratorInterface::ABSOLUTE_URL));

        return $this->seeOther('coming', ['garden' => $visit->gardenId, 'outlet' => $outlet->key]);
    }

    #[Route('/g/{garden}/coming/withdraw', name: 'coming_withdraw', methods: ['POST'])]
    public function withdraw(Request $request, Visit $visit): Response
    {
        $this->links->revoke(LinkKind::Buyer, $visit->gardenId, $request->request->getString('link'));
        $this->addFlash('done', 'The address is withdrawn.');

        return $this->seeOther('coming', ['garden' => $visit->gardenId, 'outlet' => $request->request->getString('outlet')]);
    }

    /** @return array{Garden, Outlet|null, ComingUp|null} */
    private function asked(Request $request, Visit $visit): array
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($garden->settings));
        $key = $request->isMethod('POST') ? $request->request->getString('outlet') : $request->query->getString('outlet');
        $outlet = array_values(array_filter($garden->outlets, static fn (Outlet $o): bool => $o->key === $key))[0]
            ?? ('' === $key ? $garden->outlets[0] ?? null : null);

        return [$garden, $outlet, null === $outlet ? null : ComingUp::for($outlet->key, $garden, $this->crops,
            MarketForecast::of($garden, $this->crops, self::DAYS))];
    }
}
