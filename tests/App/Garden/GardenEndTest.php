<?php

declare(strict_types=1);

namespace App\Tests\Garden;

use App\Shared\Role;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use Doctrine\DBAL\Connection;

/** A garden is deleted by an owner who writes its name; nothing of it stays, and nothing of another goes. */
final class GardenEndTest extends AppCase
{
    public function testOnlyAnOwnerWhoWritesItsNameDeletesIt(): void
    {
        $other = $this->keep(SmallGarden::json());
        $this->post($this->path('/plan'), []);
        $this->post($this->path('/members'), ['role' => 'hand', 'note' => 'Tansy']);
        $before = $this->everything();
        $this->post($this->path('/file/delete-garden'), ['name' => 'little rill']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('name as it is: Little Rill', $this->text());
        self::assertSame($before, $this->everything());

        $grower = $this->account('other@example.test');
        $this->join($grower, Role::Grower);
        $this->browser->loginUser($grower);
        $this->post($this->path('/file/delete-garden'), ['name' => 'Little Rill']);
        self::assertResponseStatusCodeSame(403);

        $this->browser->loginUser($this->grower);
        $this->post($this->path('/file/delete-garden'), ['name' => 'Little Rill']);
        self::assertResponseRedirects('/gardens');
        self::assertSame([], $this->tables($this->garden));
        self::assertNotSame([], $this->tables($other));
        self::assertSame([], $this->service(Connection::class)->fetchAllAssociative('PRAGMA foreign_key_check'));
        $this->browser->request('GET', $this->path('/wall'));
        self::assertResponseStatusCodeSame(404);
    }

    /** @return list<string> tables that hold something of a garden */
    private function tables(string $garden): array
    {
        $connection = $this->service(Connection::class);
        $tables = $connection->fetchFirstColumn('SELECT m.name FROM sqlite_master m JOIN '
            ."pragma_table_info(m.name) c WHERE m.type = 'table' AND c.name = 'garden_id'");

        return array_values(array_filter(array_map(static fn (mixed $t): string => \is_string($t) ? $t : '', $tables),
            static fn (string $table): bool => 0 < $connection->fetchOne('SELECT COUNT(*) FROM '.$table.' WHERE garden_id = ?',
                [$garden])));
    }
}
