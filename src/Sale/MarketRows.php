<?php

declare(strict_types=1);

namespace App\Sale;

use App\Codec\MarketFile;
use App\Codec\Node;
use App\Shared\Faults;
use App\Shared\Row;
use Doctrine\DBAL\Connection;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\BoxSize;
use JollyFurrow\Sale\BoxWeek;
use JollyFurrow\Sale\GlutWay;
use JollyFurrow\Sale\MarketBook;
use JollyFurrow\Sale\MarketDay;
use JollyFurrow\Sale\MixRule;
use JollyFurrow\Sale\Order;
use JollyFurrow\Sale\Price;
use JollyFurrow\Sale\Sold;
use JollyFurrow\Sale\Terms;
use JollyFurrow\Time\Day;

/** What was ordered and sold, out of the database. What names an outlet or product that is gone waits for it to come back. */
final readonly class MarketRows
{
    /** Market days and orders of the last weeks bear on what comes; all of them are asked for by those who learn from them. */
    private const DAYS_BACK = 30;
    /** Boxes are looked back on so far, for who has had what. */
    private const BOXES_BACK = 300;
    /** Market days and boxes by day, the rest as it came. */
    private const ORDER = " ORDER BY CASE WHEN kind IN ('day', 'box', 'note') THEN day ELSE 0 END, id";

    public function __construct(private Connection $connection)
    {
    }

    /**
     * @param list<Outlet>  $outlets
     * @param list<Product> $products
     */
    public function of(string $gardenId, Day $today, array $outlets, array $products, bool $whole = false): MarketBook
    {
        $sql = 'SELECT kind, data FROM market_entry WHERE garden_id = ?';
        $rows = $this->connection->fetchAllAssociative($whole ? $sql.self::ORDER
            : $sql." AND (kind IN ('terms', 'price', 'size', 'mix', 'glut', 'note') "
            ."OR (kind = 'order' AND (day >= ? OR data LIKE '%standing%')) OR (kind = 'day' AND day >= ?) OR (kind = 'box' AND day >= ?))"
            .self::ORDER, $whole ? [$gardenId] : [$gardenId, $today->plus(-self::DAYS_BACK)->number,
                $today->plus(-self::DAYS_BACK)->number, $today->plus(-self::BOXES_BACK)->number]);
        $byKind = ['order' => [], 'terms' => [], 'price' => [], 'day' => [], 'size' => [], 'box' => [], 'mix' => [], 'glut' => [],
            'note' => []];
        foreach ($rows as $values) {
            $row = new Row($values);
            $byKind[$row->text('kind')][] = new Node($row->json('data'), '', new Faults());
        }
        $there = array_fill_keys(array_column($outlets, 'key'), true);
        $sold = array_fill_keys(array_column($products, 'key'), true);
        $isOf = static fn (string $outlet, ?string $product = null): bool => isset($there[$outlet]) && (null === $product
            || isset($sold[$product]));

        return new MarketBook(
            array_values(array_filter(array_map(MarketFile::order(...), $byKind['order']),
                static fn (Order $o): bool => $isOf($o->outlet, $o->product))),
            array_values(array_filter(array_map(MarketFile::terms(...), $byKind['terms']),
                static fn (Terms $t): bool => $isOf($t->outlet))),
            array_values(array_filter(array_map(MarketFile::price(...), $byKind['price']),
                static fn (Price $p): bool => ('' === $p->outlet || $isOf($p->outlet)) && isset($sold[$p->product]))),
            array_values(array_map(static fn (MarketDay $d): MarketDay => new MarketDay($d->outlet, $d->day, array_values(array_filter(
                $d->lines, static fn (Sold $s): bool => isset($sold[$s->product]))), $d->weather, $d->isHoliday, $d->cents, $d->words),
                array_filter(array_map(MarketFile::day(...), $byKind['day']), static fn (MarketDay $d): bool => $isOf($d->outlet)))),
            array_values(array_filter(array_map(MarketFile::size(...), $byKind['size']),
                static fn (BoxSize $s): bool => $isOf($s->outlet))),
            array_values(array_filter(array_map(MarketFile::box(...), $byKind['box']), static fn (BoxWeek $b): bool => $isOf($b->outlet))),
            array_values(array_filter(array_map(MarketFile::mix(...), $byKind['mix']),
                static fn (MixRule $m): bool => isset($sold[$m->product]))),
            array_values(array_filter(array_map(MarketFile::glut(...), $byKind['glut']),
                static fn (GlutWay $g): bool => '' === $g->product || isset($sold[$g->product]))),
            array_map(MarketFile::note(...), $byKind['note']));
    }
}
