<?php

declare(strict_types=1);

namespace App\Feed;

use App\Form\Forms;
use App\Log\ChangeLog;
use App\Shared\FreeKey;
use App\Shared\Page;
use App\Shared\Visit;
use App\Soil\ShedProductRecord;
use App\Soil\SoilKeeper;
use App\Soil\SpreadRecord;
use App\Store\Snapshot;
use App\Wording\Formatter;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Mass;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Soil\Heat;
use JollyFurrow\Soil\ShedProduct;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The shed: what the soil is fed with; and what was spread where. */
final class ShedController extends Page
{
    private const SHOWN = 40;

    public function __construct(private readonly Forms $forms, private readonly Snapshot $snapshot, private readonly ChangeLog $log,
        private readonly EntityManagerInterface $entities, private readonly SoilKeeper $keeper)
    {
    }

    #[Route('/g/{garden}/shed', name: 'shed', methods: ['GET'])]
    public function shed(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $product = $garden->soil->product($request->query->getString('product'));
        $typed = null === $product ? self::blank() : ProductData::of($product);

        return $this->show($request, $visit, $garden, $product, $this->forms->fresh(ProductType::class, $typed), null);
    }

    #[Route('/g/{garden}/shed', name: 'shed_keep', methods: ['POST'])]
    public function keep(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $was = $garden->soil->product($request->request->getString('product'));
        $typed = null === $was ? new ProductData() : ProductData::of($was);
        $form = $this->forms->sent($request, ProductType::class, $typed);
        if (null === $was && \count($garden->soil->shed) >= Limits::SHED) {
            Forms::fault($form, 'name', \sprintf('At most %d products fit here.', Limits::SHED));
        }
        if (!$form->isValid()) {
            return $this->show($request, $visit, $garden, $was, $form, null);
        }
        $product = $typed->product($was->key ?? self::free($garden, $typed->name));
        $words = \sprintf('%s in the shed', $product->name);
        $this->log->record($visit->gardenId, $visit->accountId, $words, fn () => null === $was
            ? $this->entities->persist(new ShedProductRecord($visit->gardenId, $product)) : $this->row($visit,
                $was->key)->become($product));

        return $this->kept($visit, $words.'.', $this->generateUrl('shed', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/shed/delete', name: 'shed_delete', methods: ['POST'])]
    public function delete(Request $request, Visit $visit): Response
    {
        $row = $this->row($visit, $request->request->getString('product'));
        $this->log->record($visit->gardenId, $visit->accountId, 'A product taken out of the shed', fn () => $this->entities->remove($row));

        return $this->kept($visit, 'A product taken out of the shed.', $this->generateUrl('shed', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/shed/spread', name: 'shed_spread', methods: ['POST'])]
    public function spread(Request $request, Visit $visit): Response
    {
        $garden = $this->opened($visit);
        $typed = new SpreadData();
        $form = $this->spreadForm($garden, $typed)->submit($request->request->all());
        if ($form->isValid()) {
            $this->check($form, $typed, $garden);
        }
        if (!$form->isValid()) {
            return $this->show($request, $visit, $garden, null, $this->forms->fresh(ProductType::class, self::blank()), $form);
        }
        $spreads = $typed->spreads($garden);
        $words = \sprintf('%s spread on %s', $spreads[0]->product, $typed->place);
        $this->log->record($visit->gardenId, $visit->accountId, $words, fn () => $this->keeper->spread($visit->gardenId, $spreads));

        return $this->kept($visit, $words.'.', $this->generateUrl('shed', ['garden' => $visit->gardenId]));
    }

    #[Route('/g/{garden}/shed/spread/delete', name: 'shed_spread_delete', methods: ['POST'])]
    public function deleteSpread(Request $request, Visit $visit): Response
    {
        $row = $this->entities->getRepository(SpreadRecord::class)->findOneBy(['gardenId' => $visit->gardenId,
            'key' => $request->request->getString('spread')]) ?? throw $this->createNotFoundException('There is no such note.');
        $this->log->record($visit->gardenId, $visit->accountId, 'A note of what was spread deleted',
            fn () => $this->entities->remove($row));

        return $this->kept($visit, 'A note of what was spread deleted.', $this->generateUrl('shed', ['garden' => $visit->gardenId]));
    }

    /**
     * Raw manure is refused on what stands, and is never a mulch.
     *
     * @param FormInterface<mixed> $form
     */
    private function check(FormInterface $form, SpreadData $typed, Garden $garden): void
    {
        $day = $typed->day ?? $garden->today;
        if ($garden->today->isBefore($day)) {
            Forms::fault($form, 'day', 'This day is still to come. Write a day that has passed.');
        }
        if (null !== $typed->workedIn && $typed->workedIn->isBefore($day)) {
            Forms::fault($form, 'workedIn', 'It cannot be worked in before it is spread.');
        }
        $spreads = $typed->spreads($garden);
        if ([] === $spreads || Heat::Raw !== $spreads[0]->heat) {
            return;
        }
        if (null === $typed->workedIn) {
            Forms::fault($form, 'workedIn', 'Raw manure must not lie on top. Work it in and write the day: the wait counts from then.');
        }
        $beds = array_map(static fn ($s): string => $s->bed, $spreads);
        $stands = $garden->plantings->where(static fn (Planting $p): bool => $p->ground->isBefore($day) && $day->isBefore($p->clear)
            && [] !== array_filter($p->pieces, static fn ($piece): bool => \in_array($piece->bed, $beds, true)));
        if (0 < $stands->count()) {
            Forms::fault($form, 'place', 'A crop stands there on that day: raw manure is never put on a standing crop.');
        }
    }

    private function opened(Visit $visit): Garden
    {
        $garden = $this->snapshot->of($visit->gardenId);
        $this->sayer->speakFor(Formatter::of($garden->settings));

        return $garden;
    }

    private static function blank(): ProductData
    {
        $data = new ProductData();
        $data->step = Mass::fromGrams(100);
        $data->for = Mass::fromGrams(25_000);

        return $data;
    }

    private static function free(Garden $garden, string $name): string
    {
        return FreeKey::of($name, 'product', static fn (string $key): bool => null !== $garden->soil->product($key));
    }

    private function row(Visit $visit, string $key): ShedProductRecord
    {
        return $this->entities->getRepository(ShedProductRecord::class)->findOneBy(['gardenId' => $visit->gardenId, 'key' => $key])
            ?? throw $this->createNotFoundException('There is no such product.');
    }

    /** @return FormInterface<mixed> */
    private function spreadForm(Garden $garden, SpreadData $typed): FormInterface
    {
        $typed->day ??= $garden->today;
        $products = [];
        foreach ($garden->soil->shed as $product) {
            $products[$product->name] = $product->key;
        }

        return $this->forms->fresh(SpreadType::class, $typed, ['places' => Places::flat($garden), 'products' => $products]);
    }

    /**
     * @param FormInterface<mixed>      $form
     * @param FormInterface<mixed>|null $spread null: a fresh one
     */
    private function show(Request $request, Visit $visit, Garden $garden, ?ShedProduct $product, FormInterface $form,
        ?FormInterface $spread): Response
    {
        $isSpread = null !== $spread;
        $spread ??= $this->spreadForm($garden, new SpreadData());

        return $this->page($request, 'feed/shed.html.twig', ['visit' => $visit, 'garden' => $garden, 'product' => $product,
            'form' => $form->createView(), 'spread' => $spread->createView(), 'isSpread' => $isSpread,
            'spreads' => \array_slice(array_reverse($garden->soil->spreads), 0, self::SHOWN)], 'shed', Forms::status($form, $spread));
    }
}
