<?php

declare(strict_types=1);

namespace App\Tests\Account;

use App\Account\Members;
use App\Rows\Account;
use App\Shared\Role;
use App\Shared\Visit;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use Doctrine\DBAL\Connection;
use PHPUnit\Framework\Attributes\TestWith;

final class MembersTest extends AppCase
{
    public function testAnInvitationIsALinkThatWorksOnceAndMakesAMember(): void
    {
        $link = $this->invited('hand');
        $this->signOut();
        $page = $this->browser->request('GET', $link);
        self::assertStringContainsString('Join Little Rill', $this->text());
        $form = $page->selectButton('Open it and join')->form();
        $this->browser->submit($form, ['name' => 'Tansy', 'email' => 'none', 'password' => 'short', 'again' => 'other']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('no e-mail address', $this->text());
        self::assertSelectorExists('input[name=name][value=Tansy]');
        $this->browser->submit($form, ['name' => 'Tansy', 'email' => 'tansy@example.test', 'password' => 'under the old pear',
            'again' => 'under the old pear']);
        self::assertResponseRedirects($this->path('/week'));

        self::assertSame(['grower@example.test' => 'owner', 'tansy@example.test' => 'hand'], $this->members());
        $this->browser->request('GET', $link);
        self::assertResponseStatusCodeSame(404);
        $this->browser->request('GET', $this->path('/log'));
        self::assertStringContainsString('Tansy joined as hand', $this->text());
    }

    public function testWhoIsSignedInJoinsWithThatAccountAndKeepsTheHigherRole(): void
    {
        $link = $this->invited('reader');
        $this->post($link, []);

        self::assertSame(['grower@example.test' => 'owner'], $this->members());
        $this->browser->loginUser($this->account('rowan@example.test'));
        $second = $this->invitedBy();
        $this->post($second, []);
        self::assertSame(['grower@example.test' => 'owner', 'rowan@example.test' => 'grower'], $this->members());
    }

    public function testWithdrawnAndGuessedLinksOpenNothing(): void
    {
        $link = $this->invited('grower');
        $id = $this->service(Connection::class)->fetchOne('SELECT id FROM secret_link');
        $this->post($this->path('/members/invitation/'.(\is_string($id) ? $id : '').'/withdraw'), []);
        foreach ([$link, '/join/guessed', '/reset/guessed'] as $path) {
            $this->browser->request('GET', $path);
            self::assertResponseStatusCodeSame(404, $path);
        }
    }

    public function testAGardenKeepsAnOwner(): void
    {
        foreach (['/role', '/remove'] as $what) {
            $this->post($this->path('/members/'.$this->grower->id.$what), ['role' => 'reader']);
            self::assertResponseStatusCodeSame(422);
            self::assertStringContainsString('keeps at least one owner', $this->text());
        }
        $second = $this->account('second@example.test');
        $this->join($second, Role::Hand);
        $this->post($this->path('/members/'.$second->id.'/role'), ['role' => 'owner']);
        $this->post($this->path('/members/'.$this->grower->id.'/remove'), []);
        self::assertResponseRedirects('/gardens');
        self::assertSame(['second@example.test' => 'owner'], $this->members());
    }

    public function testOnlyOwnersChangeMembers(): void
    {
        $grower = $this->account('second@example.test');
        $this->join($grower, Role::Grower);
        $this->browser->loginUser($grower);
        $token = $this->token();
        $before = $this->everything();
        foreach (['/members', '/members/'.$grower->id.'/role', '/members/'.$this->grower->id.'/remove',
            '/members/'.$this->grower->id.'/reset'] as $path) {
            $this->browser->request('POST', $this->path($path), ['_token' => $token, 'role' => 'owner', 'note' => 'me']);
            self::assertResponseStatusCodeSame(403, $path);
        }
        self::assertSame($before, $this->everything());
    }

    public function testALinkToANewPasswordWorksOnceAndSignsTheOldOneOut(): void
    {
        $member = $this->account('second@example.test');
        $this->join($member, Role::Hand);
        $this->post($this->path('/members/'.$member->id.'/reset'), []);
        $link = $this->link();
        $this->signOut();
        $page = $this->browser->request('GET', $link);
        $form = $page->selectButton('Save')->form();
        $this->browser->request('POST', $link, ['password' => 'rain on the tin roof', 'again' => 'rain on the tin roof']);
        self::assertResponseStatusCodeSame(403);
        $this->browser->submit($form, ['password' => 'nine long', 'again' => 'nine long']);
        self::assertResponseStatusCodeSame(422);
        $this->browser->submit($form, ['password' => 'rain on the tin roof', 'again' => 'rain on the tin roof']);
        self::assertResponseRedirects('/sign-in');
        $this->browser->request('GET', $link);
        self::assertResponseStatusCodeSame(404);

        self::assertFalse($this->signsIn('second@example.test', 'a-long-password'));
        self::assertTrue($this->signsIn('second@example.test', 'rain on the tin roof'));
    }

    public function testNoLinkForWhoBelongsToAGardenOfOthers(): void
    {
        $member = $this->account('second@example.test');
        $this->join($member, Role::Hand);
        $own = $this->garden;
        $this->garden = $this->keep(SmallGarden::json());
        $this->service(Connection::class)->delete('member', ['garden_id' => $this->garden]);
        $this->join($member, Role::Owner);
        $this->garden = $own;
        $this->post($this->path('/members/'.$member->id.'/reset'), []);

        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('a garden you do not own', $this->text());
        self::assertSame(0, $this->service(Connection::class)->fetchOne('SELECT COUNT(*) FROM secret_link'));
    }

    /** Whoever was an owner when the invitation went out, and is none when it is opened, lets nobody in. */
    public function testInvitationsOfARemovedOwnerOpenNothing(): void
    {
        $second = $this->account('second@example.test');
        $this->join($second, Role::Owner);
        $links = [];
        foreach (['become', 'remove'] as $how) {
            $links[$how] = '/join/'.$this->service(Members::class)
                ->invite(new Visit($this->garden, 'Little Rill', $second->id, Role::Owner),
                    Role::Owner, 'a friend');
            $this->browser->request('GET', $links[$how]);
            self::assertResponseIsSuccessful();
            $this->post($this->path('/members/'.$second->id.('become' === $how ? '/role' : '/remove')), ['role' => 'grower']);
            $this->browser->request('GET', $links[$how]);
            self::assertResponseStatusCodeSame(404, $how);
            $this->post($links[$how], []);
            self::assertResponseStatusCodeSame(404, $how);
            $this->post($this->path('/members/'.$second->id.'/role'), ['role' => 'owner']);
            $this->browser->request('GET', $links[$how]);
            self::assertResponseStatusCodeSame(404, 'made an owner again, an old invitation stays void');
        }
        $link = '/join/'.$this->service(Members::class)->invite(new Visit($this->garden, 'Little Rill', $this->grower->id, Role::Owner),
            Role::Owner, 'a friend');
        $this->service(Connection::class)->update('member', ['role' => 'grower'], ['account_id' => $this->grower->id]);
        $this->browser->request('GET', $link);
        self::assertResponseStatusCodeSame(404, 'whichever way the maker stopped being an owner');
        $this->service(Connection::class)->update('member', ['role' => 'owner'], ['account_id' => $this->grower->id]);
        self::assertSame(['grower@example.test' => 'owner'], $this->members());
    }

    /** A link to a new password for a member of one owner's gardens alone; what changes about that ends it. */
    #[TestWith(['left'])]
    #[TestWith(['joined'])]
    #[TestWith(['began'])]
    #[TestWith(['password'])]
    #[TestWith(['maker'])]
    public function testALinkToANewPasswordEndsWhenTheMemberMoves(string $how): void
    {
        $member = $this->account('second@example.test');
        $this->join($member, Role::Hand);
        $this->post($this->path('/members/'.$member->id.'/reset'), []);
        $link = $this->link();
        $this->browser->request('GET', $link);
        self::assertResponseIsSuccessful();
        match ($how) {
            'left' => $this->post($this->path('/members/'.$member->id.'/remove'), []),
            'joined' => $this->service(Members::class)->accept($this->service(Members::class)
                ->invite(new Visit($this->keep(SmallGarden::json()),
                    'Another', $this->grower->id, Role::Owner), Role::Reader, ''), static fn (): Account => $member),
            'began' => $this->service(Connection::class)->delete('garden', ['id' => $this->service(\App\Store\GardenKeeper::class)
                ->begin($this->snapshot(), $member->id, 'Begun')]),
            'password' => $this->service(\App\Account\Passwords::class)->set($member, 'another long one'),
            default => $this->service(Connection::class)->update('member', ['role' => 'grower'], ['account_id' => $this->grower->id]),
        };
        foreach (['GET', 'POST'] as $method) {
            $this->browser->request($method, $link, ['_token' => $this->token(), 'password' => 'rain on the tin roof',
                'again' => 'rain on the tin roof']);
            self::assertResponseStatusCodeSame(404, $method);
        }
        self::assertFalse($this->signsIn('second@example.test', 'rain on the tin roof'));
    }

    /** Two open the same link: the second to send the form is told it is used up, and no account is left behind. */
    public function testOneInvitationOpensOneAccount(): void
    {
        $link = $this->invited('hand');
        $this->signOut();
        $form = $this->browser->request('GET', $link)->selectButton('Open it and join')->form();
        $faster = $this->account('faster@example.test');
        self::assertSame($faster, $this->service(Members::class)->accept(basename($link), static fn (): Account => $faster));
        $this->browser->submit($form, ['name' => 'Tansy', 'email' => 'second@example.test', 'password' => 'under the old pear',
            'again' => 'under the old pear']);

        self::assertResponseStatusCodeSame(404);
        self::assertSame(['faster@example.test' => 'hand', 'grower@example.test' => 'owner'], $this->members());
        self::assertSame(2, $this->service(Connection::class)->fetchOne('SELECT COUNT(*) FROM account'));
    }

    public function testThePasswordIsChangedByTheOldOne(): void
    {
        $this->post('/account', ['old' => 'wrong', 'password' => 'frost on the kale', 'again' => 'frost on the beans']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('not your password', $this->text());
        self::assertStringContainsString('not the same', $this->text());
        $this->post('/account', ['old' => 'a-long-password', 'password' => ' frost on the kale ', 'again' => ' frost on the kale ']);
        self::assertResponseRedirects('/account');
        $this->browser->followRedirect();
        self::assertResponseIsSuccessful('this device stays signed in');

        self::assertFalse($this->signsIn('grower@example.test', 'a-long-password'));
        self::assertTrue($this->signsIn('grower@example.test', ' frost on the kale '));
    }

    public function testGuessingIsSlowedDownAndOthersAreLetIn(): void
    {
        $this->account('other@example.test');
        for ($try = 0; $try < 5; ++$try) {
            self::assertFalse($this->signsIn('grower@example.test', 'guess '.$try));
        }
        self::assertFalse($this->signsIn('grower@example.test', 'a-long-password'), 'even the right one has to wait');
        $this->browser->request('GET', '/sign-in');
        self::assertTrue($this->signsIn('other@example.test', 'a-long-password'));
        $this->service(Connection::class)->executeStatement('UPDATE failed_sign_in SET at = at - 901');
        self::assertTrue($this->signsIn('grower@example.test', 'a-long-password'));
    }

    private function invited(string $role): string
    {
        $this->post($this->path('/members'), ['role' => $role, 'note' => 'Tansy']);

        return $this->link();
    }

    /** An invitation as grower made by the owner, while somebody else is signed in here. */
    private function invitedBy(): string
    {
        $members = $this->service(Members::class);

        return '/join/'.$members->invite(new Visit($this->garden, 'Little Rill', $this->grower->id, Role::Owner),
            Role::Grower, 'Rowan');
    }

    private function link(): string
    {
        self::assertResponseRedirects($this->path('/members'));
        $page = $this->browser->followRedirect();

        return (string) parse_url((string) $page->filter('input[aria-label=Link]')->attr('value'), \PHP_URL_PATH);
    }

    /** @return array<mixed> e-mail address => role */
    private function members(): array
    {
        return $this->service(Connection::class)
            ->fetchAllKeyValue('SELECT a.email, m.role FROM member m JOIN account a ON a.id = m.account_id WHERE m.garden_id = ? ORDER '
                .'BY a.email', [$this->garden]);
    }

    private function signOut(): void
    {
        $this->browser->getCookieJar()->clear();
    }

    private function signsIn(string $email, string $password): bool
    {
        $this->signOut();
        $page = $this->browser->request('GET', '/sign-in');
        $this->browser->submit($page->selectButton('Sign in')->form(['email' => $email, 'password' => $password]));
        $this->browser->request('GET', '/gardens');

        return 200 === $this->browser->getResponse()->getStatusCode();
    }
}
