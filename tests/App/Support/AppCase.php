<?php

declare(strict_types=1);

namespace App\Tests\Support;

use App\Account\Accounts;
use App\File\GardenReader;
use App\Rows\Account;
use App\Rows\Member;
use App\Shared\Role;
use App\Shared\Today;
use App\Store\GardenKeeper;
use App\Store\Snapshot;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Garden\Garden;
use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Bundle\FrameworkBundle\Test\WebTestCase;

/** A browser without a window, a grower with a small garden, and a look into the database. */
abstract class AppCase extends WebTestCase
{
    protected KernelBrowser $browser;
    protected Account $grower;
    protected string $garden;

    protected function setUp(): void
    {
        $this->browser = self::createClient();
        $this->grower = $this->account('grower@example.test');
        $this->garden = $this->keep(SmallGarden::json());
        $this->browser->loginUser($this->grower);
    }

    protected function account(string $email): Account
    {
        return $this->service(Accounts::class)->open('' === $email ? 'nobody@example.test' : $email, 'Somebody', 'a-long-password');
    }

    protected function join(Account $account, Role $role): void
    {
        $entities = $this->service(EntityManagerInterface::class);
        $entities->persist(new Member($this->garden, $account->id, $role));
        $entities->flush();
    }

    protected function keep(string $json): string
    {
        return $this->service(GardenKeeper::class)->begin($this->service(GardenReader::class)->read($json), $this->grower->id, 'Begun');
    }

    protected function snapshot(): Garden
    {
        // Without what is remembered of its timing, so that two of them can be compared.
        return (new Snapshot($this->service(Connection::class), $this->service(Today::class)))->of($this->garden);
    }

    protected function path(string $rest): string
    {
        return '/g/'.$this->garden.$rest;
    }

    /** The page's token, as any page of the application carries it. */
    protected function token(): string
    {
        $page = $this->browser->request('GET', '/gardens');

        return (string) $page->filter('input[name=_token]')->first()->attr('value');
    }

    /** @param array<string, mixed> $fields */
    protected function post(string $path, array $fields, bool $isForMachines = false): void
    {
        $this->browser->request('POST', $path, ['_token' => $this->token(), ...$fields], server: $isForMachines
            ? ['HTTP_ACCEPT' => 'application/json'] : []);
    }

    /** The page as it came, but for the marks around quantities and dates, and with its lines run together. */
    protected function text(): string
    {
        $unmarked = preg_replace('~</?(?:data|time)\b[^>]*>~', '', (string) $this->browser->getResponse()->getContent());

        return html_entity_decode((string) preg_replace('/\s+/u', ' ', (string) $unmarked), \ENT_QUOTES);
    }

    /** The garden file as it would be saved now. */
    protected function exported(): string
    {
        $this->browser->request('GET', $this->path('/file/garden.json'));
        self::assertResponseIsSuccessful();

        return (string) $this->browser->getResponse()->getContent();
    }

    /** Everything in the garden's tables, as one text: equal texts, nothing changed. */
    protected function everything(): string
    {
        return $this->everythingBut('');
    }

    protected function everythingBut(string $left): string
    {
        $all = [];
        foreach (['garden', 'block', 'bed', 'past_crop', 'outlet', 'product', 'product_part', 'promise', 'planting', 'piece',
            'field_note', 'climate', 'reading', 'own_value', 'own_recipe', 'protection', 'practice', 'worker', 'own_job', 'own_care',
                'job_mark', 'seed_lot', 'soil_test', 'shed_product', 'spread', 'valve', 'valve_bed', 'feed_rules',
                'store_place', 'harvest_lot', 'handling', 'place_day', 'spray', 'spray_bed', 'market_entry',
            'proposal', 'secret_link', 'member',
            'log_entry', 'plan_run'] as $table) {
            if ($table === $left) {
                continue;
            }
            $all[$table] = $this->service(Connection::class)
                ->fetchAllAssociative('SELECT * FROM '.$table.' WHERE garden_id = ? ORDER BY 1, 2', [$this->garden]);
        }

        return json_encode($all, \JSON_THROW_ON_ERROR);
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    protected function service(string $class): object
    {
        $service = self::getContainer()->get($class);
        self::assertInstanceOf($class, $service);

        return $service;
    }
}
