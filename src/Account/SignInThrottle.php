<?php

declare(strict_types=1);

namespace App\Account;

use App\Shared\Today;
use Doctrine\DBAL\Connection;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\Security\Core\Exception\TooManyLoginAttemptsAuthenticationException;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Event\CheckPassportEvent;
use Symfony\Component\Security\Http\Event\LoginFailureEvent;
use Symfony\Component\Security\Http\Event\LoginSuccessEvent;

/** Slows guessing down: after some failed tries in a quarter of an hour an address has to wait, for one account or for all. */
final readonly class SignInThrottle
{
    public const MINUTES = 15;
    public const FOR_ONE_ACCOUNT = 5;
    public const FROM_ONE_ADDRESS = 40;

    public function __construct(private Connection $connection, private RequestStack $requests, private Today $today)
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
        $tries = $this->connection->fetchAssociative('SELECT COUNT(*) AS here, COALESCE(SUM(who = ?), 0) AS account FROM failed_sign_in WHERE address = ? AND at > ?', [self::who($badge->getUserIdentifier()), self::address($request), $since]);
        if (false !== $tries && ($tries['here'] >= self::FROM_ONE_ADDRESS || $tries['account'] >= self::FOR_ONE_ACCOUNT)) {
            throw new TooManyLoginAttemptsAuthenticationException(self::MINUTES);
        }
    }

    #[AsEventListener]
    public function failed(LoginFailureEvent $event): void
    {
        $badge = $event->getPassport()?->getBadge(UserBadge::class);
        if (!$badge instanceof UserBadge || $event->getException() instanceof TooManyLoginAttemptsAuthenticationException) {
            return;
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
