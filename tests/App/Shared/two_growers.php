<?php

declare(strict_types=1);

/*
 * One grower who writes in a garden others write in at the same time. "begin" makes the database and the garden and
 * prints "garden account"; "add GARDEN ACCOUNT TIMES MORE" adds so many more to the same promise so many times, through the same
 * classes as the page, and prints how often it was asked because somebody was faster; with TIMES 0 it goes on until it is
 * killed, and prints a "+" once each change is confirmed. "look GARDEN" prints the number promised and the entries in the
 * log, then what is wrong with the file. "migrate" makes the database alone and prints a code for the first owner; "first
 * CODE EMAIL" and "join SECRET EMAIL" open an account with it and print 1, or 0 where somebody was faster; "invite GARDEN ACCOUNT" prints a secret;
 * "accounts" prints how many accounts there are, and members.
 */

use App\Account\Accounts;
use App\Account\FirstOwner;
use App\Account\Members;
use App\Account\NewAccount;
use App\File\GardenReader;
use App\Kernel;
use App\Log\ChangeLog;
use App\Log\Meanwhile;
use App\Promise\PromiseEntry;
use App\Shared\Role;
use App\Shared\Visit;
use App\Store\GardenKeeper;
use App\Store\Snapshot;
use App\Tests\Support\SmallGarden;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Output\BufferedOutput;

require dirname(__DIR__, 3).'/vendor/autoload.php';

foreach (['APP_ENV' => 'test', 'APP_SECRET' => 'for-tests-only', 'JOLLY_FURROW_DATA' => $argv[1], 'JOLLY_FURROW_DEMO' => '0',
    'DEFAULT_URI' => 'http://localhost', 'JOLLY_FURROW_TODAY' => '2026-03-02'] as $name => $value) {
    $_SERVER[$name] = $_ENV[$name] = $value;
}
/**
 * @template T of object
 *
 * @param class-string<T> $class
 *
 * @return T
 */
function service(Psr\Container\ContainerInterface $services, string $class): object
{
    $found = $services->get($class);
    assert($found instanceof $class);

    return $found;
}

$kernel = new Kernel('test', false);
$kernel->boot();
$services = $kernel->getContainer()->get('test.service_container');
assert($services instanceof Psr\Container\ContainerInterface);
$day = JollyFurrow\Time\Day::parse('2026-06-03')->number;
$promised = static function (string $garden) use ($services, $day): float {
    foreach (service($services, Snapshot::class)->of($garden)->promises as $promise) {
        if ('lettuce' === $promise->product && $promise->day->number === $day) {
            return $promise->quantity;
        }
    }

    return 0.0;
};

if ('begin' === $argv[2]) {
    $application = new Application($kernel);
    $application->setAutoExit(false);
    $application->run(new ArrayInput(['command' => 'doctrine:migrations:migrate', '--no-interaction' => true]), new BufferedOutput());
    $account = service($services, Accounts::class)->open('grower@example.test', 'Somebody', 'a-long-password')->id;
    echo service($services, GardenKeeper::class)->begin(service($services, GardenReader::class)->read(SmallGarden::json()), $account,
        'Begun'), ' ', $account;
} elseif ('look' === $argv[2]) {
    $entries = service($services, Connection::class)->fetchFirstColumn('SELECT number FROM log_entry WHERE garden_id = ?', [$argv[3]]);
    $wrong = [...service($services, Connection::class)->fetchFirstColumn('PRAGMA integrity_check'),
        ...service($services, Connection::class)->fetchFirstColumn('PRAGMA foreign_key_check')];
    echo $promised($argv[3]), ' ', count($entries), ['ok'] === $wrong && max([0, ...$entries]) === count($entries) ? '' : ' broken';
} elseif ('migrate' === $argv[2]) {
    $application = new Application($kernel);
    $application->setAutoExit(false);
    $application->run(new ArrayInput(['command' => 'doctrine:migrations:migrate', '--no-interaction' => true]), new BufferedOutput());
    echo service($services, FirstOwner::class)->code();
} elseif ('invite' === $argv[2]) {
    echo service($services, Members::class)->invite(new Visit($argv[3], 'Little Rill', $argv[4], Role::Owner), Role::Hand, 'Tansy');
} elseif ('accounts' === $argv[2]) {
    $count = static fn (string $table): mixed => service($services, Connection::class)->fetchOne('SELECT COUNT(*) FROM '.$table);
    echo json_encode([$count('account'), $count('member')]);
} elseif (in_array($argv[2], ['first', 'join'], true)) {
    $typed = new NewAccount();
    [$typed->name, $typed->email, $typed->password] = ['Somebody', $argv[4], 'a-long-password'];
    $accounts = service($services, Accounts::class);
    usleep(random_int(0, 20_000));
    echo null === ('first' === $argv[2] ? service($services, FirstOwner::class)->open($argv[3], $typed)
        : service($services, Members::class)->accept($argv[3], static fn () => $accounts->openTyped($typed))) ? 0 : 1;
} else {
    [,,, $garden, $account, $times, $more] = $argv;
    $asked = 0;
    for ($done = 0; 0 === (int) $times || $done < (int) $times;) {
        $now = $promised($garden);
        usleep(random_int(0, 3000));
        $entry = new PromiseEntry(service($services, EntityManagerInterface::class));
        try {
            $read = $entry->read(['lettuce' => [$day => (string) ($now + (int) $more)]], [], ['lettuce' => [$day => (string) $now]]);
            $changed = service($services, ChangeLog::class)->record($garden, $account, 'More', static fn (): int => $entry->keep($garden,
                'boxes', $read));
            ++$done;
            echo 0 === (int) $times && $changed > 0 ? '+' : '';
        } catch (Meanwhile) {
            ++$asked;
            $doctrine = $services->get('doctrine');
            assert($doctrine instanceof Doctrine\Persistence\ManagerRegistry);
            $doctrine->resetManager();
        }
        service($services, EntityManagerInterface::class)->clear();
    }
    echo $asked;
}
