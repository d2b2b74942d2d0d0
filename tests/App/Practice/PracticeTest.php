<?php

declare(strict_types=1);

namespace App\Tests\Practice;

use App\Account\Accounts;
use App\Account\DemoAccount;
use App\Demo\Demo;
use App\Navigation\Navigation;
use App\Practice\PracticeStep;
use App\Rows\Account;
use App\Shared\Role;
use App\Shared\Visit;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Time\Day;
use Symfony\Component\Routing\RouterInterface;

/** A season by the practice clock: day by day, week by week, there and back. */
final class PracticeTest extends AppCase
{
    private Account $owner;
    private string $real;

    protected function setUp(): void
    {
        parent::setUp();
        $this->real = $this->garden;
        $this->service(Demo::class)->load();
        $id = $this->service(Connection::class)->fetchOne("SELECT id FROM garden WHERE name = 'Larkspur Hollow'");
        $this->garden = \is_string($id) ? $id : '';
        $this->owner = $this->service(Accounts::class)->find(DemoAccount::EMAIL) ?? $this->grower;
        $this->browser->loginUser($this->owner);
    }

    public function testASeasonFromMarchToOctoberIsTheSameTwice(): void
    {
        $begin = $this->exported();
        for ($week = 0; $week < 33; ++$week) {
            $this->step(7);
            self::assertLessThan(0.03, $this->shareLate(), $this->snapshot()->today->iso());
        }
        self::assertSame('2026-10-19', $this->snapshot()->today->iso());
        $cleared = $this->snapshot()->plantings->where(static fn (Planting $p): bool => Standing::Cleared === $p->standing);
        self::assertGreaterThan(150, \count($cleared));
        $end = $this->exported();

        $this->post($this->path('/practice/start-over'), []);
        self::assertSame($begin, $this->exported());
        for ($week = 0; $week < 33; ++$week) {
            $this->step(7);
        }
        self::assertSame($end, $this->exported());
    }

    public function testSevenDaysAreAWeekAndAWeekIsUndoneWhole(): void
    {
        for ($week = 0; $week < 6; ++$week) {
            $this->step(7);
        }
        $before = $this->exported();
        $this->post($this->path('/practice/next-week'), ['back' => $this->path('/beds')]);
        self::assertResponseRedirects($this->path('/beds'));
        $week = $this->exported();
        self::assertNotSame($before, $week);
        $this->post($this->path('/log/'.$this->lastChange().'/take-back'), []);
        self::assertSame($before, $this->exported());
        for ($day = 0; $day < 7; ++$day) {
            $this->step(1);
        }

        self::assertSame($week, $this->exported());
    }

    public function testStartingOverCanBeUndoneAndTakesBackWhatWasDoneByHand(): void
    {
        $begin = $this->exported();
        $this->step(7);
        $this->post($this->path('/beds/series'), ['block' => 'N', 'prefix' => 'N', 'first' => '1', 'count' => '1', 'length' => '25 m',
            'width' => '75 cm', 'path' => '45 cm', 'place' => 'field']);
        $this->step(7);
        $now = $this->exported();
        $this->post($this->path('/practice/start-over'), []);
        self::assertSame($begin, $this->exported());
        $this->post($this->path('/log/'.$this->lastChange().'/take-back'), []);
        self::assertSame($now, $this->exported());
        $this->post($this->path('/practice/start-over'), []);
        self::assertSame($begin, $this->exported());
        $this->post($this->path('/practice/start-over'), []);
        $this->browser->followRedirect();

        self::assertStringContainsString('at its start already', $this->text());
    }

    /** A practice day moves the garden, not the clock of links, sign-ins and the log. */
    public function testAStepAgesNoInvitation(): void
    {
        $this->post($this->path('/members'), ['role' => 'hand', 'note' => 'Tansy']);
        $table = fn (): array => $this->service(Connection::class)->fetchAllAssociative('SELECT * FROM secret_link ORDER BY id');
        $before = $table();
        self::assertNotSame([], $before);
        foreach (range(1, 5) as $week) {
            $this->step(7);
        }
        self::assertSame($before, $table());
        $at = $this->service(Connection::class)->fetchOne(
            'SELECT at FROM log_entry WHERE garden_id = ? ORDER BY number DESC', [$this->garden]);

        self::assertEqualsWithDelta(time(), is_numeric($at) ? (int) $at : 0, 120, 'the log goes by the real clock');
    }

    public function testNoPageIsEmptyOnAnyDay(): void
    {
        $router = $this->service(RouterInterface::class);
        $menu = new Navigation();
        foreach (range(0, 8) as $month) {
            foreach ($menu->groups() as $entries) {
                foreach (array_keys($entries) as $route) {
                    $page = $this->browser->request('GET', $router->generate($route, ['garden' => $this->garden]));
                    self::assertResponseIsSuccessful();
                    self::assertGreaterThan(180, mb_strlen($page->filter('main')->text()), $route.' in month '.$month);
                }
            }
            self::assertSelectorTextContains('.practice', 'Practice day');
            $this->step(28);
        }
    }

    public function testARealGardenIsCopiedToPractiseInAndStaysAsItIs(): void
    {
        $this->garden = $this->real;
        $this->browser->loginUser($this->grower);
        $this->join($this->account('other@example.test'), Role::Grower);
        $this->post($this->path('/practice/next-day'), []);
        self::assertResponseStatusCodeSame(404);
        $this->post($this->path('/practice/start-over'), []);
        self::assertResponseStatusCodeSame(404);
        $before = $this->exported();
        $this->post($this->path('/practice/copy'), []);
        $this->garden = explode('/', (string) $this->browser->getResponse()->headers->get('Location'))[2];
        self::assertNotSame($this->real, $this->garden);
        self::assertSame(1, $this->service(Connection::class)->fetchOne(
            'SELECT COUNT(*) FROM member WHERE garden_id = ?', [$this->garden]));
        $this->browser->followRedirect();
        self::assertSelectorTextContains('.practice', 'Practice day Mon 2 Mar 2026');
        $this->post($this->path('/practice/next-day'), []);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('.practice', 'Practice day Tue 3 Mar 2026');
        self::assertStringContainsString('"seed"', $this->exported());
        $again = $this->keep($this->exported());
        $this->browser->request('GET', '/g/'.$again.'/wall');
        self::assertSelectorTextContains('.practice', 'Practice day Tue 3 Mar 2026');

        $this->garden = $this->real;
        self::assertSame($before, $this->exported());
        self::assertStringNotContainsString('"practice"', SmallGarden::json());
    }

    private function step(int $days): void
    {
        $visit = new Visit($this->garden, '', $this->owner->id, Role::Owner, Day::of(0));
        self::assertNotSame('', $this->service(PracticeStep::class)->on($visit, max(1, $days)));
        $this->service(EntityManagerInterface::class)->clear();
    }

    private function shareLate(): float
    {
        $garden = $this->snapshot();

        return \count($garden->plantings->where(static fn (Planting $p): bool => $p->isLate($garden->today)))
            / \count($garden->plantings);
    }

    private function lastChange(): int
    {
        $number = $this->service(Connection::class)->fetchOne('SELECT MAX(number) FROM log_entry WHERE garden_id = ?', [$this->garden]);

        return is_numeric($number) ? (int) $number : 0;
    }
}
