<?php

declare(strict_types=1);

namespace App\TakeBack;

use Doctrine\DBAL\Connection;
use Symfony\Component\Routing\Exception\ExceptionInterface;
use Symfony\Component\Routing\RouterInterface;

/** Where one was when a change was taken back: there, as long as what the page showed is still there. */
final readonly class WayBack
{
    /** Tables and columns by what an address names. */
    private const NAMED = ['planting' => ['planting', 'id'], 'bed' => ['bed', 'name'], 'outlet' => ['outlet', 'key_name'],
        'product' => ['product', 'key_name'], 'protection' => ['protection', 'id']];

    public function __construct(private RouterInterface $router, private Connection $connection)
    {
    }

    /** @return string|null a page of this garden; null: none, or it is gone */
    public function to(string $gardenId, string $address): ?string
    {
        $path = explode('?', $address, 2)[0];
        if (!str_starts_with($path, '/g/'.$gardenId.'/') || 1 !== preg_match('/^[!-~]+$/D', $address)) {
            return null;
        }
        $context = $this->router->getContext();
        $method = $context->getMethod();
        try {
            $context->setMethod('GET');
            $found = $this->router->match($path);
        } catch (ExceptionInterface) {
            return null;
        } finally {
            $context->setMethod($method);
        }
        foreach (array_intersect_key(self::NAMED, $found) as $name => [$table, $column]) {
            $is = $this->connection->fetchOne("SELECT 1 FROM $table WHERE garden_id = ? AND $column = ?", [$gardenId, $found[$name]]);
            if (false === $is) {
                return null;
            }
        }

        return $address;
    }
}
