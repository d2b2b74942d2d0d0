<?php

declare(strict_types=1);

namespace App\Tests\SignIn;

use App\Rows\Account;
use App\Shared\Today;
use App\SignIn\SignInThrottle;
use App\Tests\Support\AppCase;
use Doctrine\DBAL\Connection;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;
use Symfony\Component\PasswordHasher\PasswordHasherInterface;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Core\Exception\BadCredentialsException;
use Symfony\Component\Security\Core\Exception\TooManyLoginAttemptsAuthenticationException;
use Symfony\Component\Security\Core\Exception\UserNotFoundException;
use Symfony\Component\Security\Http\Authenticator\AuthenticatorInterface;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Authenticator\Passport\SelfValidatingPassport;
use Symfony\Component\Security\Http\Event\CheckPassportEvent;
use Symfony\Component\Security\Http\Event\LoginFailureEvent;

final class SignInThrottleTest extends AppCase
{
    /** Failures of others from an address, seconds a right password waits there. */
    #[TestWith([20, 0.0])]
    #[TestWith([21, 0.05])]
    #[TestWith([25, 0.25])]
    #[TestWith([400, 1.0])]
    public function testManyFailuresFromOneAddressSlowButNeverRefuse(int $many, float $seconds): void
    {
        $clock = new MockClock();
        foreach (range(1, $many) as $n) {
            $this->failedOnce('somebody '.$n, $clock);
        }
        $before = (float) $clock->now()->format('U.u');
        $this->throttle($clock)->before($this->passport());

        self::assertEqualsWithDelta($seconds, (float) $clock->now()->format('U.u') - $before, 0.001);
    }

    public function testFiveFailuresAtOneAccountFromOneAddressRefuseItThere(): void
    {
        $clock = new MockClock();
        foreach (range(1, 4) as $ignored) {
            $this->failedOnce('grower@example.test', $clock);
        }
        $this->throttle($clock)->before($this->passport());
        $this->failedOnce('grower@example.test', $clock);
        $this->throttle($clock, '10.0.0.9')->before($this->passport());

        $this->expectException(TooManyLoginAttemptsAuthenticationException::class);
        $this->throttle($clock)->before($this->passport());
    }

    /** An e-mail nobody has costs one look at a password too, as a wrong password does; a known one was looked at already. */
    public function testAnUnknownAddressTakesAsLong(): void
    {
        $unknown = new UserNotFoundException();
        foreach ([[$unknown, 1], [new BadCredentialsException('', 0, $unknown), 1], [new BadCredentialsException(), 0]] as [$failure,
            $looks]) {
            self::assertSame($looks, $this->looksAfter($failure));
        }
    }

    private function looksAfter(AuthenticationException $failure): int
    {
        $hasher = new class implements PasswordHasherInterface {
            public int $looks = 0;

            public function hash(#[\SensitiveParameter] string $plainPassword): string
            {
                ++$this->looks;

                return 'hash';
            }

            public function verify(string $hashedPassword, #[\SensitiveParameter] string $plainPassword): bool
            {
                return false;
            }

            public function needsRehash(string $hashedPassword): bool
            {
                return false;
            }
        };
        $hashers = new class($hasher) implements PasswordHasherFactoryInterface {
            public function __construct(private readonly PasswordHasherInterface $hasher)
            {
            }

            public function getPasswordHasher(mixed $user): PasswordHasherInterface
            {
                return Account::class === $user ? $this->hasher : throw new \LogicException('not the hasher of accounts');
            }
        };
        $throttle = new SignInThrottle($this->service(Connection::class), new RequestStack(), new Today(new MockClock(), null),
            new MockClock(),
            $hashers);
        $throttle->failed(new LoginFailureEvent($failure, self::createStub(AuthenticatorInterface::class), self::request('127.0.0.1'), null,
            'main', $this->passport()->getPassport()));

        return $hasher->looks;
    }

    private function failedOnce(string $who, MockClock $clock): void
    {
        $this->service(Connection::class)->insert('failed_sign_in', ['who' => hash('sha256', $who), 'address' => '127.0.0.1',
            'at' => $clock->now()->getTimestamp()]);
    }

    private function throttle(MockClock $clock, string $address = '127.0.0.1'): SignInThrottle
    {
        $requests = new RequestStack();
        $requests->push(self::request($address));

        return new SignInThrottle($this->service(Connection::class), $requests, new Today($clock, null), $clock,
            self::createStub(PasswordHasherFactoryInterface::class));
    }

    private function passport(): CheckPassportEvent
    {
        return new CheckPassportEvent(self::createStub(AuthenticatorInterface::class),
            new SelfValidatingPassport(new UserBadge('grower@example.test')));
    }

    private static function request(string $address): Request
    {
        $request = Request::create('/sign-in', 'POST', server: ['REMOTE_ADDR' => $address]);
        $request->attributes->set('_route', 'sign_in');

        return $request;
    }
}
