<?php

declare(strict_types=1);

namespace App\Tests\Shared;

use App\Tests\Support\AppCase;
use DAMA\DoctrineTestBundle\PHPUnit\SkipDatabaseRollback;
use Doctrine\DBAL\Connection;

/** No room left on the disk: told in words, nothing kept by halves, and one stays signed in. */
#[SkipDatabaseRollback]
final class FullDiskTest extends AppCase
{
    protected function tearDown(): void
    {
        $this->service(Connection::class)->executeStatement('DELETE FROM garden');
        $this->service(Connection::class)->executeStatement('DELETE FROM account');
        parent::tearDown();
    }

    public function testAFullDiskIsToldInWordsAndNobodyIsSignedOut(): void
    {
        $token = $this->token();
        $this->browser->disableReboot();
        $before = $this->everything();
        $connection = $this->service(Connection::class);
        $most = $connection->fetchOne('PRAGMA max_page_count');
        $connection->executeStatement('PRAGMA max_page_count = 1');
        try {
            $this->browser->request('POST', $this->path('/beds/series'), ['_token' => $token, 'block' => 'A', 'prefix' => 'Q',
                'first' => '1',
                'count' => '200', 'length' => '25 m', 'width' => '75 cm', 'path' => '45 cm', 'place' => 'field']);
            self::assertResponseStatusCodeSame(507);
            self::assertStringContainsString('The disk is full', $this->text());
            self::assertStringContainsString('Nothing of this is saved', $this->text());
        } finally {
            $connection->executeStatement('PRAGMA max_page_count = '.(\is_scalar($most) ? (string) $most : '1073741823'));
        }
        self::assertSame($before, $this->everything());
        $this->browser->request('GET', $this->path('/beds'));
        self::assertResponseIsSuccessful();
    }
}
