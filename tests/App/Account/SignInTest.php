<?php

declare(strict_types=1);

namespace App\Tests\Account;

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

        self::assertResponseRedirects($this->path('/wall'));
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
