<?php

declare(strict_types=1);

namespace App\Market;

use App\Log\ChangeLog;
use App\Sale\MarketKeeper;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Role;
use App\Shared\Visit;
use App\Storage\StoreKeeper;
use App\Store\Snapshot;
use App\Wording\Formatter;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Market\Returning;
use JollyFurrow\Market\SaleTrace;
use JollyFurrow\Market\TillFile;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\MarketDay;
use JollyFurrow\Sale\Sold;
use JollyFurrow\Sale\Weathering;
use JollyFurrow\Time\Day;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Packing up: what came back is counted in one pass, takings typed or read from the till's file; what is left goes back or away. */
final class PackingController extends Page
{
    private const MOST = 1_000_000;
    private const BACK = 21;
    private const HAND = ['_least' => Role::Hand->value];

    public function __construct(private readonly Snapshot $snapshot, private readonly ChangeLog $log, private readonly MarketKeeper $keeper,
        private readonly StoreKeeper $store, private readonly SimulatedTill $till)
    {
    }

    #[Route('/g/{garden}/packing', name: 'packing', methods: ['GET'])]
    public function packing(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        [$outlet, $day] = $this->asked($garden, $request->query->getString('outlet'), $request->query->getString('day'));
        $typed = [];
        if ($request->query->getBoolean('till') && null !== $outlet && null !== $day) {
            $typed = self::fields(TillFile::read($this->till->file($garden, $outlet, $day), $garden->products)->lines);
        }

        return $this->show($request, $visit, $garden, $outlet, $day, [] === $typed ? Entry::fresh() : new Entry($typed));
    }

    #[Route('/g/{garden}/packing', name: 'packing_keep', methods: ['POST'], defaults: self::HAND)]
    public function keep(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        [$outlet, $day] = $this->asked($garden, $request->request->getString('outlet'), $request->request->getString('day'));
        if (null === $outlet || null === $day) {
            throw $this->createNotFoundException('There was no such market day.');
        }
        $text = $request->request->getString('till');
        if ('' !== trim($text)) {
            $read = TillFile::read($text, $garden->products);
            $entry = new Entry([...$request->request->all(), ...self::fields($read->lines), 'till' => '']);
            [] === $read->unknown ?: $entry->fault('till', 'Not understood: '.$read->unknown[0]);

            return $this->show($request, $visit, $garden, $outlet, $day, $entry);
        }
        $entry = new Entry($request->request->all());
        $lines = $this->lines($garden, $entry);
        $weather = $entry->choice('weather', Weathering::class);
        $words = '' === $entry->raw('words') ? '' : $entry->text('words', 400);
        if ([] === $lines && $entry->isGood()) {
            $entry->fault('words', 'Write how many were taken of at least one product.');
        }
        $to = $entry->raw('to');
        if ('' !== $to && null === $garden->store->place($to)) {
            $entry->fault('to', 'That place is not there any more.');
        }
        if (!$entry->isGood()) {
            return $this->show($request, $visit, $garden, $outlet, $day, $entry);
        }
        $market = new MarketDay($outlet->key, $day, $lines, $weather, '1' === $entry->raw('holiday'), words: $words);
        $back = '' === $to ? [] : Returning::of($garden, $market, $to);
        $said = \sprintf('%s, %s: %d sold', $outlet->name, $this->sayer->formatter()->day($day)->text, array_sum(array_map(
            static fn (Sold $s): int => $s->units(), $lines)));
        $this->log->record($visit->gardenId, $visit->accountId, $said, function () use ($visit, $market, $back): void {
            $this->keeper->keep($visit->gardenId, $market);
            $this->store->handle($visit->gardenId, $back);
        });

        return $this->kept($visit, $said.'.', $this->generateUrl('packing', ['garden' => $visit->gardenId, 'outlet' => $outlet->key,
            'day' => $day->iso()]));
    }

    /** @return list<Sold> */
    private function lines(Garden $garden, Entry $entry): array
    {
        $lines = [];
        foreach ($garden->products as $product) {
            foreach (['', ...$garden->market->sizesPriced($product->key)] as $size) {
                $line = self::line($entry, $product->key, $size);
                null === $line ?: $lines[] = $line;
            }
        }

        return $lines;
    }

    /** Null: none of it was taken, or something about it is wrong, and told at its field. */
    private static function line(Entry $entry, string $product, string $size): ?Sold
    {
        $field = static fn (string $what): string => $what.'-'.self::field($product, $size);
        if ('' === $entry->raw($field('taken')) || '0' === $entry->raw($field('taken'))) {
            return null;
        }
        $count = static fn (string $what): int => '' === $entry->raw($field($what)) ? 0 : $entry->int($field($what), 0, self::MOST);
        [$taken, $back, $given, $lost] = [$count('taken'), $count('back'), $count('given'), $count('lost')];
        $cents = '' === $entry->raw($field('cents')) ? null : $entry->money($field('cents'))->cents;
        $out = $entry->raw($field('out'));
        if ('' !== $out && 1 !== preg_match('/^([01]?\d|2[0-3]):[0-5]\d$/', $out)) {
            $entry->fault($field('out'), 'Write a time such as 10:30.');
        }
        if ($back + $given + $lost > $taken) {
            $entry->fault($field('back'), 'More than was taken.');
        }

        return $entry->isGood() ? new Sold($product, $taken, $back, $given, $lost, $cents, '' === $out ? null : \sprintf('%05s', $out),
            $size)
            : null;
    }

    /** What the fields of a product, or of one size of it, are called after. */
    private static function field(string $product, string $size): string
    {
        return '' === $size ? $product : $product.'-'.substr(md5($size), 0, 8);
    }

    /**
     * @param list<Sold> $lines
     *
     * @return array<string, string>
     */
    private static function fields(array $lines): array
    {
        $typed = [];
        foreach ($lines as $line) {
            $field = self::field($line->product, $line->size);
            $typed['taken-'.$field] = (string) $line->taken;
            $typed['back-'.$field] = 0 === $line->back ? '' : (string) $line->back;
            $typed['given-'.$field] = 0 === $line->given ? '' : (string) $line->given;
            $typed['lost-'.$field] = 0 === $line->lost ? '' : (string) $line->lost;
            $typed['cents-'.$field] = null === $line->cents ? '' : \sprintf('%.2f', $line->cents / 100);
            $typed['out-'.$field] = (string) $line->outAt;
        }

        return $typed;
    }

    /** @return array{Outlet|null, Day|null} the last market day gone by or today's; what is asked for where it was one */
    private function asked(Garden $garden, string $key, string $iso): array
    {
        $days = self::days($garden);
        foreach ($days as [$outlet, $day]) {
            if (('' === $key || $outlet->key === $key) && ('' === $iso || $day->iso() === $iso)) {
                return [$outlet, $day];
            }
        }

        return [null, null];
    }

    /** @return list<array{Outlet, Day}> the latest first */
    private static function days(Garden $garden): array
    {
        $days = [];
        foreach ($garden->outlets as $outlet) {
            foreach ($outlet->days->between($garden->today->plus(-self::BACK), $garden->today) as $day) {
                $days[] = [$outlet, $day];
            }
        }
        usort($days, static fn (array $a, array $b): int => [$b[1]->number, $a[0]->priority] <=> [$a[1]->number, $b[0]->priority]);

        return $days;
    }

    private function show(Request $request, Visit $visit, Garden $garden, ?Outlet $outlet, ?Day $day, Entry $entry): Response
    {
        $kept = null === $outlet || null === $day ? null : $garden->market->day($outlet->key, $day);
        $promised = [];
        foreach ($garden->promises as $promise) {
            if ($promise->outlet === $outlet?->key && null !== $day && $promise->day->equals($day)) {
                $promised[$promise->product] = (int) ceil($promise->quantity);
            }
        }
        $there = [...array_map(static fn (Sold $s): string => $s->product, $kept->lines ?? []), ...array_keys($promised)];
        $products = $garden->products;
        usort($products, static fn (Product $a, Product $b): int => [!\in_array($a->key, $there, true), $a->name] <=> [!\in_array($b->key,
            $there, true), $b->name]);

        return $this->page($request, 'market/packing.html.twig', ['visit' => $visit, 'garden' => $garden, 'outlet' => $outlet,
            'day' => $day,
            'kept' => $kept, 'entry' => $entry->isBegun() || null === $kept ? $entry : new Entry(self::fields($kept->lines)),
            'promised' => $promised, 'products' => $products, 'there' => $there, 'sizes' => self::sizes($garden),
                'days' => \array_slice(self::days($garden), 0, 5),
            'trace' => null === $kept ? null : SaleTrace::of($garden, $garden->market->days), 'hasTill' => $this->till->isThere($garden)],
            'packing', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    /** @return array<string, array<string, string>> sizes of each product that cost otherwise, by the name of its fields */
    private static function sizes(Garden $garden): array
    {
        $sizes = [];
        foreach ($garden->products as $product) {
            $sizes[$product->key] = [$product->key => ''];
            foreach ($garden->market->sizesPriced($product->key) as $size) {
                $sizes[$product->key][self::field($product->key, $size)] = $size;
            }
        }

        return $sizes;
    }

    private function opened(Visit $visit): Garden
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($garden->settings));

        return $garden;
    }
}
