<?php

declare(strict_types=1);

namespace App\SignIn;

use App\Rows\Account;
use App\Shared\Today;
use Doctrine\DBAL\Connection;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Core\Exception\TooManyLoginAttemptsAuthenticationException;
use Symfony\Component\Security\Core\Exception\UserNotFoundException;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Event\CheckPassportEvent;
use Symfony\Component\Security\Http\Event\LoginFailureEvent;
use Symfony\Component\Security\Http\Event\LoginSuccessEvent;

/**
 * Slows guessing down. Five failed tries in a quarter of an hour from one address at one account, and that account has to
 * wait there. Many from one address at any accounts only make its sign-ins slower, the right password's too: people of one
 * household or market share an address. An unknown e-mail takes as long as a known one.
 */
final readonly class SignInThrottle
{
    public const MINUTES = 15;
    public const FOR_ONE_ACCOUNT = 5;
    /** Failures from one address that cost nothing yet. */
    public const FREE_FROM_ONE_ADDRESS = 20;
    /** Seconds that each one more costs, and the most. */
    private const SLOWER = 0.05;
    private const SLOWEST = 1.0;

    public function __construct(private Connection $connection, private RequestStack $requests, private Today $today,
        private ClockInterface $clock, private PasswordHasherFactoryInterface $hashers)
    {
    }

    #[AsEventListener(priority: 2080)]
    public function before(CheckPassportEvent $event): void
    {
        $badge = $event->getPassport()->getBadge(UserBadge::class);
        $request = $this->requests->getMainRequest();
        if (!$badge instanceof UserBadge || null === $request || !$request->isMethod('POST')
            || 'sign_in' !== $request->attributes->get('_route')) {
            return;
        }
        $since = $this->now() - 60 * self::MINUTES;
        $tries = $this->connection->fetchAssociative('SELECT COUNT(*) AS here, COALESCE(SUM(who = ?), 0) AS account FROM failed_sign_in '
            .'WHERE address = ? AND at > ?', [self::who($badge->getUserIdentifier()), self::address($request), $since]);
        $here = is_numeric($tries['here'] ?? null) ? (int) $tries['here'] : 0;
        if ($here > self::FREE_FROM_ONE_ADDRESS) {
            $this->clock->sleep(min(self::SLOWEST, self::SLOWER * ($here - self::FREE_FROM_ONE_ADDRESS)));
        }
        if (false !== $tries && $tries['account'] >= self::FOR_ONE_ACCOUNT) {
            throw new TooManyLoginAttemptsAuthenticationException(self::MINUTES);
        }
    }

    #[AsEventListener]
    public function failed(LoginFailureEvent $event): void
    {
        $failure = $event->getException();
        $badge = $event->getPassport()?->getBadge(UserBadge::class);
        if (!$badge instanceof UserBadge || $failure instanceof TooManyLoginAttemptsAuthenticationException) {
            return;
        }
        if (self::isUnknown($failure)) {
            $this->hashers->getPasswordHasher(Account::class)->hash('as long as it takes to look at a password');
        }
        $this->connection->executeStatement('DELETE FROM failed_sign_in WHERE at <= ?', [$this->now() - 60 * self::MINUTES]);
        $this->connection->insert('failed_sign_in', ['who' => self::who($badge->getUserIdentifier()),
            'address' => self::address($event->getRequest()), 'at' => $this->now()]);
    }

    #[AsEventListener]
    public function succeeded(LoginSuccessEvent $event): void
    {
        $this->connection->delete('failed_sign_in', ['who' => self::who($event->getUser()->getUserIdentifier()),
            'address' => self::address($event->getRequest())]);
    }

    private static function isUnknown(AuthenticationException $failure): bool
    {
        return $failure instanceof UserNotFoundException || $failure->getPrevious() instanceof UserNotFoundException;
    }

    private static function who(string $email): string
    {
        return hash('sha256', mb_strtolower(trim($email)));
    }

    private static function address(Request $request): string
    {
        return substr($request->getClientIp() ?? '', 0, 64);
    }

    private function now(): int
    {
        return $this->today->now()->getTimestamp();
    }
}
