<?php

declare(strict_types=1);

namespace App\Market;

use App\Log\ChangeLog;
use App\Sale\MarketKeeper;
use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Visit;
use App\Store\Snapshot;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\MixRule;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What may change in a mix when one of its crops is short. */
final class MixesController extends Page
{
    private const WHOLE = 100;

    public function __construct(private readonly Snapshot $snapshot, private readonly CropBook $crops, private readonly ChangeLog $log,
        private readonly MarketKeeper $keeper)
    {
    }

    #[Route('/g/{garden}/mixes', name: 'mixes', methods: ['GET'])]
    public function mixes(Request $request, Visit $visit): Response
    {
        return $this->show($request, $visit, $this->snapshot->of($visit->gardenId), Entry::fresh());
    }

    #[Route('/g/{garden}/mixes', name: 'mixes_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit): Response
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $entry = new Entry($request->request->all());
        $product = array_values(array_filter(self::of($garden), static fn (Product $p): bool => $p->key === $entry->raw('product')))[0]
            ?? throw $this->createNotFoundException('There is no such mix.');
        $way = $entry->oneOf('way', ['fixed', 'any', 'bounds']);
        $rule = new MixRule($product->key, 'any' === $way, 'bounds' === $way ? self::bounds($entry, $product) : []);
        if ($entry->isGood() && !$rule->isPossible(\count($product->parts))) {
            $entry->fault('way', 'No mix can be so: the least add up to more than 100, or the most to less.');
        }
        if (!$entry->isGood()) {
            return $this->show($request, $visit, $garden, $entry);
        }
        $said = $product->name.': '.['fixed' => 'always the same', 'any' => 'any of them', 'bounds' => 'within bounds'][$way];
        $this->log->record($visit->gardenId, $visit->accountId, $said, fn () => 'fixed' === $way ? $this->keeper->drop($visit->gardenId,
            'mix',
            $product->key) : $this->keeper->keep($visit->gardenId, $rule));

        return $this->kept($visit, $said.'.', $this->generateUrl('mixes', ['garden' => $visit->gardenId]));
    }

    /** @return array<string, array{float, float}> */
    private static function bounds(Entry $entry, Product $product): array
    {
        $bounds = [];
        foreach ($product->parts as $part) {
            $low = $entry->int('low-'.$part->item, 0, self::WHOLE);
            $high = $entry->int('high-'.$part->item, 0, self::WHOLE);
            if ($entry->isGood() && $high < $low) {
                $entry->fault('high-'.$part->item, 'Less than the least.');
            }
            $bounds[$part->item] = [$low / self::WHOLE, $high / self::WHOLE];
        }

        return $bounds;
    }

    /** @return list<Product> */
    private static function of(Garden $garden): array
    {
        return array_values(array_filter($garden->products, static fn (Product $p): bool => $p->isMix()));
    }

    private function show(Request $request, Visit $visit, Garden $garden, Entry $entry): Response
    {
        $mixes = [];
        foreach (self::of($garden) as $product) {
            $all = array_sum(array_map(static fn ($part): float => $part->units, $product->parts));
            $rule = $garden->market->mixes[$product->key] ?? null;
            $parts = [];
            foreach ($product->parts as $part) {
                $usual = (int) round(self::WHOLE * $part->units / $all);
                $isBound = isset($rule->bounds[$part->item]);
                $parts[] = ['crop' => $this->crops->get($part->item), 'item' => $part->item, 'usual' => $usual,
                    'low' => $isBound ? (int) round(self::WHOLE * $rule->low($part->item)) : (int) round($usual / 2),
                    'high' => $isBound ? (int) round(self::WHOLE * $rule->high($part->item)) : min(self::WHOLE, (int) round(1.5 * $usual))];
            }
            $mixes[] = ['product' => $product, 'parts' => $parts, 'way' => null === $rule ? 'fixed' : ($rule->isAnyOf ? 'any' : 'bounds')];
        }

        return $this->page($request, 'market/mixes.html.twig', ['visit' => $visit, 'garden' => $garden, 'mixes' => $mixes,
            'entry' => $entry],
            'mixes', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
