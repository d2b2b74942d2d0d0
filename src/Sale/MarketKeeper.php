<?php

declare(strict_types=1);

namespace App\Sale;

use App\Codec\MarketFile;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Sale\BoxSize;
use JollyFurrow\Sale\BoxWeek;
use JollyFurrow\Sale\DeliveryNote;
use JollyFurrow\Sale\GlutWay;
use JollyFurrow\Sale\MarketBook;
use JollyFurrow\Sale\MarketDay;
use JollyFurrow\Sale\MixRule;
use JollyFurrow\Sale\Order;
use JollyFurrow\Sale\Price;
use JollyFurrow\Sale\Terms;
use JollyFurrow\Time\Day;

/** Puts orders, terms, prices, market days and boxes into the database. To be called inside a logged change. */
final readonly class MarketKeeper
{
    /** What has no day of its own. */
    private const NO_DAY = 0;

    public function __construct(private EntityManagerInterface $entities)
    {
    }

    public function begin(string $gardenId, MarketBook $market): void
    {
        foreach ([...$market->orders, ...array_values($market->terms), ...$market->prices, ...$market->days, ...$market->sizes,
            ...$market->boxes, ...array_values($market->mixes), ...$market->gluts, ...$market->notes] as $one) {
            $this->entities->persist($this->record($gardenId, $one));
        }
    }

    public function keep(string $gardenId, Order|Terms|Price|MarketDay|BoxSize|BoxWeek|MixRule|GlutWay|DeliveryNote $one): void
    {
        $new = $this->record($gardenId, $one);
        $there = $this->found($gardenId, $new->kind, $new->key);
        [, , $day, $values] = self::parts($one);
        null === $there ? $this->entities->persist($new) : $there->become($day, $values);
    }

    public function drop(string $gardenId, string $kind, string $key): void
    {
        $there = $this->found($gardenId, $kind, $key);
        null === $there ?: $this->entities->remove($there);
    }

    private function found(string $gardenId, string $kind, string $key): ?MarketEntryRecord
    {
        return $this->entities->getRepository(MarketEntryRecord::class)->findOneBy(['gardenId' => $gardenId, 'kind' => $kind,
            'key' => $key]);
    }

    private function record(string $gardenId,
        Order|Terms|Price|MarketDay|BoxSize|BoxWeek|MixRule|GlutWay|DeliveryNote $one): MarketEntryRecord
    {
        return new MarketEntryRecord($gardenId, ...self::parts($one));
    }

    /** @return array{string, string, Day, array<string, mixed>} kind, key, day, values */
    private static function parts(Order|Terms|Price|MarketDay|BoxSize|BoxWeek|MixRule|GlutWay|DeliveryNote $one): array
    {
        return match (true) {
            $one instanceof Order => ['order', $one->key, $one->until ?? $one->day, MarketFile::orderValues($one)],
            $one instanceof Terms => ['terms', $one->outlet, Day::of(self::NO_DAY), MarketFile::termsValues($one)],
            $one instanceof Price => ['price', $one->key, Day::of(self::NO_DAY), MarketFile::priceValues($one)],
            $one instanceof MarketDay => ['day', $one->key(), $one->day, MarketFile::dayValues($one)],
            $one instanceof BoxSize => ['size', $one->key, Day::of(self::NO_DAY), MarketFile::sizeValues($one)],
            $one instanceof BoxWeek => ['box', $one->key(), $one->day, MarketFile::boxValues($one)],
            $one instanceof MixRule => ['mix', $one->product, Day::of(self::NO_DAY), MarketFile::mixValues($one)],
            $one instanceof GlutWay => ['glut', $one->key, Day::of(self::NO_DAY), MarketFile::glutValues($one)],
            $one instanceof DeliveryNote => ['note', $one->number, $one->day, MarketFile::noteValues($one)],
        };
    }
}
