<?php

declare(strict_types=1);

namespace App\Account;

use App\Form\Forms;
use App\Shared\Page;
use App\Shared\Role;
use App\Shared\Visit;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Who belongs to the garden. Everybody in it sees that; owners invite, change and remove. */
final class MembersController extends Page
{
    private const OWNER = ['_least' => Role::Owner->value];

    public function __construct(private readonly Forms $forms)
    {
    }

    #[Route('/g/{garden}/members', name: 'members', methods: ['GET'])]
    public function members(Request $request, Visit $visit, Members $members): Response
    {
        return $this->show($request, $visit, $members);
    }

    #[Route('/g/{garden}/members', name: 'member_invite', methods: ['POST'], defaults: self::OWNER)]
    public function invite(Request $request, Visit $visit, Members $members): Response
    {
        $invitee = new Invitee();
        $form = $this->forms->sent($request, InviteeType::class, $invitee);
        if (!$form->isValid()) {
            return $this->show($request, $visit, $members, invite: $form);
        }
        $secret = $members->invite($visit, $invitee->role, $invitee->note);
        $words = 'Hand this link to %s. It works once, for two weeks, and makes whoever opens it %s of %s.';
        $this->showLink(\sprintf($words, $invitee->note, $invitee->role->value, $visit->gardenName), 'join', $secret);

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

        return $this->after($request, $visit, $members, null, 'The invitation is withdrawn; its link has expired.');
    }

    /** A one-time link to a new password, for a member who belongs to no garden of others. */
    #[Route('/g/{garden}/members/{member}/reset', name: 'member_reset', methods: ['POST'], defaults: self::OWNER)]
    public function reset(Request $request, Visit $visit, string $member, Members $members, Passwords $passwords): Response
    {
        $name = $members->name($visit->gardenId, $member);
        if (null === $name || !$members->ownsAllGardensOf($visit->accountId, $member)) {
            $foreign = '%s also belongs to a garden you do not own, which such a link would open to you. Whoever runs the server can make one there.';

            return $this->after($request, $visit, $members, null === $name ? 'This member has left the garden already.'
                : \sprintf($foreign, $name), '');
        }
        $words = \sprintf('Hand this link to %s. It works once, for a day, and sets a new password.', $name);
        $this->showLink($words, 'new_password', $passwords->link($member, $visit->accountId));

        return $this->seeOther('members', ['garden' => $visit->gardenId]);
    }

    private function after(Request $request, Visit $visit, Members $members, ?string $problem, string $done): Response
    {
        if (null !== $problem) {
            return $this->show($request, $visit, $members, $problem);
        }
        $this->addFlash('done', $done);

        return $this->seeOther('members', ['garden' => $visit->gardenId]);
    }

    /** A link to hand over, on the page shown next and never again. */
    private function showLink(string $words, string $route, string $secret): void
    {
        $this->addFlash('link', ['words' => $words, 'link' => $this->generateUrl($route, ['secret' => $secret],
            UrlGeneratorInterface::ABSOLUTE_URL)]);
    }

    /** @param FormInterface<mixed>|null $invite */
    private function show(Request $request, Visit $visit, Members $members, string $problem = '', ?FormInterface $invite = null): Response
    {
        $invite ??= $this->forms->fresh(InviteeType::class, new Invitee());

        return $this->page($request, 'account/members.html.twig', [
            'visit' => $visit,
            'members' => $members->of($visit->gardenId),
            'invitations' => $visit->isOwner() ? $members->invitations($visit->gardenId) : [],
            'roles' => Role::cases(),
            'invite' => $invite->createView(),
            'problem' => $problem,
        ], 'members', '' === $problem ? Forms::status($invite) : Response::HTTP_UNPROCESSABLE_ENTITY);
    }
}
