<?php

declare(strict_types=1);

namespace App\Account;

use App\Shared\Entry;
use App\Shared\Page;
use App\Shared\Role;
use App\Shared\Visit;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Who belongs to the garden. Everybody in it sees that; owners invite, change and remove. */
final class MembersController extends Page
{
    private const OWNER = ['_least' => Role::Owner->value];

    #[Route('/g/{garden}/members', name: 'members', methods: ['GET'])]
    public function members(Request $request, Visit $visit, Members $members): Response
    {
        return $this->show($request, $visit, $members, Entry::fresh(), '', Response::HTTP_OK);
    }

    #[Route('/g/{garden}/members', name: 'member_invite', methods: ['POST'], defaults: self::OWNER)]
    public function invite(Request $request, Visit $visit, Members $members): Response
    {
        $entry = new Entry($request->request->all());
        $role = $entry->choice('role', Role::class);
        $note = $entry->text('note', 120);
        if (!$entry->isGood()) {
            return $this->show($request, $visit, $members, $entry, '', Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        $secret = $members->invite($visit, $role, $note);
        $this->addFlash('link', ['words' => \sprintf('Hand this link to %s. It works once, for two weeks, and makes whoever opens it %s of %s.', $note, $role->value, $visit->gardenName), 'link' => $this->generateUrl('join', ['secret' => $secret], UrlGeneratorInterface::ABSOLUTE_URL)]);

        return $this->seeOther('members', ['garden' => $visit->gardenId]);
    }

    #[Route('/g/{garden}/members/{member}/role', name: 'member_role', methods: ['POST'], defaults: self::OWNER)]
    public function become(Request $request, Visit $visit, string $member, Members $members): Response
    {
        $role = Role::tryFrom($request->request->getString('role'));
        $problem = null === $role ? 'Please choose a role of the list.' : $members->become($visit, $member, $role);

        return $this->after($request, $visit, $members, $problem, 'The role is changed.');
    }

    #[Route('/g/{garden}/members/{member}/remove', name: 'member_remove', methods: ['POST'], defaults: self::OWNER)]
    public function remove(Request $request, Visit $visit, string $member, Members $members): Response
    {
        $problem = $members->remove($visit, $member);
        if (null === $problem && $member === $visit->accountId) {
            return $this->seeOther('gardens');
        }

        return $this->after($request, $visit, $members, $problem, 'The member is removed. Invite them again whenever you like.');
    }

    #[Route('/g/{garden}/members/invitation/{invitation}/withdraw', name: 'invitation_withdraw', methods: ['POST'], defaults: self::OWNER)]
    public function withdraw(Request $request, Visit $visit, string $invitation, Members $members): Response
    {
        $members->withdraw($visit, $invitation);

        return $this->after($request, $visit, $members, null, 'The invitation is withdrawn; its link opens nothing any more.');
    }

    /** A one-time link to a new password, for a member who belongs to no garden of others. */
    #[Route('/g/{garden}/members/{member}/reset', name: 'member_reset', methods: ['POST'], defaults: self::OWNER)]
    public function reset(Request $request, Visit $visit, string $member, Members $members, Passwords $passwords): Response
    {
        $name = $members->name($visit->gardenId, $member);
        if (null === $name || !$members->ownsAllGardensOf($visit->accountId, $member)) {
            return $this->after($request, $visit, $members, null === $name ? 'This member has left the garden already.' : \sprintf('%s also belongs to a garden you do not own, which such a link would open to you. Whoever runs the server can make one there.', $name), '');
        }
        $this->addFlash('link', ['words' => \sprintf('Hand this link to %s. It works once, for a day, and sets a new password.', $name), 'link' => $this->generateUrl('new_password', ['secret' => $passwords->link($member)], UrlGeneratorInterface::ABSOLUTE_URL)]);

        return $this->seeOther('members', ['garden' => $visit->gardenId]);
    }

    private function after(Request $request, Visit $visit, Members $members, ?string $problem, string $done): Response
    {
        if (null !== $problem) {
            return $this->show($request, $visit, $members, Entry::fresh(), $problem, Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        $this->addFlash('done', $done);

        return $this->seeOther('members', ['garden' => $visit->gardenId]);
    }

    private function show(Request $request, Visit $visit, Members $members, Entry $entry, string $problem, int $status): Response
    {
        return $this->page($request, 'account/members.html.twig', ['visit' => $visit, 'members' => $members->of($visit->gardenId), 'invitations' => $visit->isOwner() ? $members->invitations($visit->gardenId) : [], 'roles' => Role::cases(), 'entry' => $entry, 'problem' => $problem], 'members', $status);
    }
}
