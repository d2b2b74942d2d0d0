<?php

declare(strict_types=1);

namespace App\Tests\SignIn;

use App\Tests\Support\AppCase;

final class SignInTest extends AppCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->browser->getCookieJar()->clear();
    }

    public function testOpensTheOnlyGardenAtOnce(): void
    {
        $this->signIn(['stay' => 'on']);
        self::assertResponseRedirects('/');
        $this->browser->followRedirect();

        self::assertResponseRedirects($this->path('/week'));
    }

    public function testStaysSignedInOnlyWhereItIsWished(): void
    {
        $this->signIn(['stay' => 'on']);
        self::assertNotNull($this->browser->getCookieJar()->get('REMEMBERME'));
        $this->browser->getCookieJar()->clear();
        $this->signIn(['stay' => false]);
        self::assertNull($this->browser->getCookieJar()->get('REMEMBERME'));
    }

    public function testTheLongLivedCookieAloneIsEnough(): void
    {
        $this->signIn(['stay' => 'on']);
        $this->browser->getCookieJar()->expire('MOCKSESSID');
        $this->browser->request('GET', $this->path('/crops'));

        self::assertResponseIsSuccessful();
    }

    public function testSigningOutEndsBoth(): void
    {
        $this->signIn(['stay' => 'on']);
        $page = $this->browser->request('GET', '/gardens');
        $this->browser->click($page->selectLink('Sign out')->link());
        $this->browser->request('GET', $this->path('/wall'));

        self::assertResponseRedirects('http://localhost/sign-in');
    }

    /** The long-lived cookie is a stored token: one copied off a device opens nothing once that device has signed out. */
    public function testSigningOutOrANewPasswordEndsTheLongLivedCookie(): void
    {
        foreach (['out', 'password'] as $how) {
            $this->signIn(['stay' => 'on']);
            $copied = $this->browser->getCookieJar()->get('REMEMBERME') ?? self::fail('no cookie');
            if ('out' === $how) {
                $page = $this->browser->request('GET', '/gardens');
                $this->browser->click($page->selectLink('Sign out')->link());
            } else {
                $this->service(\App\Account\Passwords::class)->set($this->service(\App\Account\Accounts::class)->find('grower@example.test')
                    ?? self::fail('no account'), 'frost on the kale');
            }
            self::assertSame(0, $this->service(\Doctrine\DBAL\Connection::class)->fetchOne('SELECT COUNT(*) FROM rememberme_token'));
            $this->browser->getCookieJar()->clear();
            $this->browser->getCookieJar()->set($copied);
            $this->browser->request('GET', '/gardens');

            self::assertResponseRedirects('http://localhost/sign-in', message: $how);
        }
    }

    public function testSigningOutHereLeavesAnotherDeviceSignedIn(): void
    {
        $this->signIn(['stay' => 'on']);
        $other = $this->browser->getCookieJar()->get('REMEMBERME') ?? self::fail('no cookie');
        $this->browser->getCookieJar()->clear();
        $this->signIn(['stay' => 'on']);
        $this->browser->click($this->browser->request('GET', '/gardens')->selectLink('Sign out')->link());
        $this->browser->getCookieJar()->clear();
        $this->browser->getCookieJar()->set($other);
        $this->browser->request('GET', '/gardens');

        self::assertResponseIsSuccessful();
    }

    /** A panel asked for after the time of a session is over: the whole page goes to sign in, and comes back. */
    public function testAPartOfAPageAskedForSignedOutTakesTheWholePageToSignIn(): void
    {
        $page = 'http://localhost'.$this->path('/wall?week=20');
        $this->browser->request('GET', $this->path('/bed/A1'), server: ['HTTP_HX_REQUEST' => 'true', 'HTTP_HX_CURRENT_URL' => $page]);
        self::assertResponseStatusCodeSame(401);
        self::assertResponseHeaderSame('HX-Redirect', '/sign-in');
        self::assertSame('', $this->browser->getResponse()->getContent());
        $this->signIn(['stay' => false]);
        self::assertResponseRedirects($page);
    }

    public function testAForeignPageIsNoPlaceToComeBackTo(): void
    {
        $this->browser->request('GET', $this->path('/bed/A1'), server: ['HTTP_HX_REQUEST' => 'true',
            'HTTP_HX_CURRENT_URL' => 'http://localhost.elsewhere.example/wall']);
        $this->signIn(['stay' => false]);
        self::assertResponseRedirects('http://localhost'.$this->path('/bed/A1'));
    }

    /** Links carry the host they were asked under: one the application is not told of is not answered at all. */
    public function testAForgedHostIsNotAnswered(): void
    {
        foreach (['elsewhere.example' => 400, 'localhost.elsewhere.example' => 400, 'localhost' => 200,
            '127.0.0.1:8000' => 200] as $host => $status) {
            $this->browser->request('GET', '/sign-in', server: ['HTTP_HOST' => $host]);
            self::assertResponseStatusCodeSame($status, $host);
        }
    }

    public function testThePasswordIsKeptAsAHashOnly(): void
    {
        self::assertStringStartsWith('$', $this->grower->getPassword());
        self::assertStringNotContainsString('a-long-password', $this->grower->getPassword());
    }

    /** @param array<string, string|bool> $more */
    private function signIn(array $more): void
    {
        $page = $this->browser->request('GET', '/sign-in');
        $this->browser->submit($page->selectButton('Sign in')->form(['email' => 'grower@example.test', 'password' => 'a-long-password',
            ...$more]));
    }
}
