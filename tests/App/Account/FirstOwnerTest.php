<?php

declare(strict_types=1);

namespace App\Tests\Account;

use App\Account\Accounts;
use App\Account\Command\CreateAccountCommand;
use App\Account\FirstOwner;
use App\Account\NewAccount;
use App\Tests\Support\AppCase;
use Doctrine\DBAL\Connection;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\Validator\Validator\ValidatorInterface;

/** How an installation begins: a code, one owner, and then nothing there any more. */
final class FirstOwnerTest extends AppCase
{
    private const TYPED = ['name' => 'Tansy', 'email' => 'Tansy@example.test', 'password' => 'under the old pear',
        'again' => 'under the old pear'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->browser->getCookieJar()->clear();
    }

    public function testOnceThereIsAnAccountThereIsNothingThere(): void
    {
        self::assertNull($this->service(FirstOwner::class)->code());
        foreach (['GET', 'POST'] as $method) {
            $this->browser->request($method, '/first', ['_token' => 'x']);
            self::assertContains($this->browser->getResponse()->getStatusCode(), ['GET' === $method ? 404 : 403]);
        }
    }

    public function testTheCodeMakesTheFirstOwnerWhoBeginsAGarden(): void
    {
        $code = $this->nobodyYet();
        $page = $this->browser->request('GET', '/first?code='.$code);
        $form = $page->selectButton('Open the account')->form();
        self::assertSame($code, $form->getValues()['code']);
        $this->browser->submit($form, ['code' => 'guessed', ...self::TYPED, 'again' => 'other']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('This is not the code', $this->text());
        self::assertStringContainsString('not the same', $this->text());
        self::assertSelectorExists('input[name=name][value=Tansy]');
        $this->browser->submit($form, ['code' => $code, ...self::TYPED]);
        self::assertResponseRedirects('/gardens');
        $page = $this->browser->followRedirect();
        $this->browser->submit($page->selectButton('Begin')->form(), ['name' => 'Little Rill', 'where' => 'somewhere', 'units' => 'us']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('is no place', $this->text());
        $this->browser->submit($page->selectButton('Begin')->form(), ['name' => 'Little Rill', 'where' => 'S 33.9, 1000 ft',
            'units' => 'us']);
        self::assertResponseRedirects();
        $this->browser->followRedirect();
        self::assertStringContainsString('Start with what is in the ground', $this->text());
        self::assertStringContainsString('Say what you promise', $this->text());
        self::assertSame([['latitude' => -33.9, 'altitude' => 305, 'units' => 'us', 'currency' => 'USD']], $this->service(Connection::class)
            ->fetchAllAssociative('SELECT latitude, altitude, units, currency FROM garden'));
        $this->browser->getCookieJar()->clear();
        $this->browser->request('GET', '/first?code='.$code);
        self::assertResponseStatusCodeSame(404);
    }

    /** The months told instead of guessed; too few are told at the field. */
    public function testTheMonthsMayBeToldAtOnce(): void
    {
        $this->nobodyYet();
        $account = $this->account('tansy@example.test');
        $this->browser->loginUser($account);
        $months = "30 32 38 45 54 62 66 65 58 47 38 32\n45 48 56 66 75 83 87 86 79 68 57 47";
        $this->post('/gardens', ['name' => 'Rill', 'where' => '39', 'units' => 'us', 'months' => '1 2 3']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('April has no minimum yet', $this->text());
        $this->post('/gardens', ['name' => 'Rill', 'where' => '39', 'units' => 'us', 'months' => $months]);
        self::assertResponseRedirects();
        $id = $this->service(Connection::class)->fetchOne('SELECT id FROM garden');
        $this->garden = \is_string($id) ? $id : '';
        $garden = $this->snapshot();

        self::assertEqualsWithDelta(-1.1, $garden->climate->months->min[0] ?? 0.0, 0.05);
        self::assertFalse($garden->climate->isGuess());
        self::assertContains($garden->place->lastFrost->month, [4, 5]);
    }

    /** A later code ends the earlier one; used once, it is used up, whoever else holds it. */
    public function testACodeWorksOnceAndTheLatestOnly(): void
    {
        $early = $this->nobodyYet();
        $late = (string) $this->service(FirstOwner::class)->code();
        $typed = new NewAccount();
        [$typed->name, $typed->email, $typed->password] = ['Tansy', 'tansy@example.test', 'under the old pear'];

        self::assertNull($this->service(FirstOwner::class)->open($early, $typed));
        self::assertNotNull($this->service(FirstOwner::class)->open($late, $typed));
        $typed->email = 'second@example.test';
        self::assertNull($this->service(FirstOwner::class)->open($late, $typed));
        self::assertSame(1, $this->service(Connection::class)->fetchOne('SELECT COUNT(*) FROM account'));
    }

    public function testAnAccountFromTheCommandLine(): void
    {
        [$code, $output] = $this->create('tansy@example.test', "under the old pear\n");
        self::assertSame([0, "{\"email\":\"tansy@example.test\",\"name\":\"Tansy\"}\n"], [$code, $output]);
        self::assertNotNull($this->service(Accounts::class)->find('tansy@example.test'));
        foreach (['tansy@example.test' => 'already', 'none' => 'no e-mail address'] as $email => $why) {
            [$code, $output] = $this->create($email, "under the old pear\n");
            self::assertSame(2, $code);
            self::assertStringContainsString($why, $output);
        }
        self::assertStringContainsString('at least 10', $this->create('rowan@example.test', "short\n")[1]);
    }

    private function nobodyYet(): string
    {
        $this->service(Connection::class)->executeStatement('DELETE FROM garden');
        $this->service(Connection::class)->executeStatement('DELETE FROM account');

        return (string) $this->service(FirstOwner::class)->code();
    }

    /** @return array{int, string} exit code and what it wrote */
    private function create(string $email, string $typed): array
    {
        $in = fopen('php://memory', 'r+');
        \assert(false !== $in);
        fwrite($in, $typed);
        rewind($in);
        $command = new CommandTester(new CreateAccountCommand($this->service(Accounts::class), $this->service(ValidatorInterface::class),
            $in));

        return [$command->execute(['email' => $email, 'name' => 'Tansy']), $command->getDisplay()];
    }
}
