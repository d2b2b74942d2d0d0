<?php

declare(strict_types=1);

namespace App\Account;

use App\Rows\Account;
use App\Shared\Entry;
use App\Shared\Page;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;
use Symfony\Component\Routing\Attribute\Route;

/** The account itself: its password, the links that invite or let in anew. The pages behind links need no sign-in; they carry a token of their own. */
final class AccountController extends Page
{
    private const TOKEN = 'link';

    #[Route('/account', name: 'account', methods: ['GET'])]
    public function account(Request $request): Response
    {
        return $this->password($request, Entry::fresh());
    }

    #[Route('/account', name: 'account_password', methods: ['POST'])]
    public function change(Request $request, Passwords $passwords, Security $security): Response
    {
        $account = $this->signedIn();
        $entry = new Entry($request->request->all());
        $password = Passwords::read($entry);
        if (!$passwords->isRight($account, $entry->exact('old'))) {
            $entry->fault('old', 'This is not your password as it is now.');
        }
        if (!$entry->isGood()) {
            return $this->password($request, $entry);
        }
        $passwords->set($account, $password);
        $security->login($account, 'form_login', 'main');
        $this->addFlash('done', 'The new password is kept. Other devices are signed out.');

        return $this->seeOther('account');
    }

    #[Route('/reset/{secret}', name: 'new_password', methods: ['GET', 'POST'])]
    public function reset(Request $request, string $secret, Passwords $passwords): Response
    {
        $account = $passwords->whose($secret);
        if (null === $account) {
            return $this->render('account/link.html.twig', ['what' => 'gone'], new Response(status: Response::HTTP_NOT_FOUND));
        }
        $entry = new Entry($request->isMethod('POST') ? $request->request->all() : []);
        if ($request->isMethod('POST')) {
            $this->mustCarryToken($request);
            $password = Passwords::read($entry);
            if ($entry->isGood()) {
                $passwords->set($account, $password);
                $this->addFlash('done', 'The new password is kept. Sign in with it.');

                return $this->seeOther('sign_in');
            }
        }

        return $this->render('account/link.html.twig', ['what' => 'reset', 'secret' => $secret, 'email' => $account->getUserIdentifier(), 'entry' => $entry], new Response(status: $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }

    #[Route('/join/{secret}', name: 'join', methods: ['GET', 'POST'])]
    public function join(Request $request, string $secret, Members $members, Accounts $accounts, Security $security): Response
    {
        $to = $members->invitation($secret);
        if (null === $to) {
            return $this->render('account/link.html.twig', ['what' => 'gone'], new Response(status: Response::HTTP_NOT_FOUND));
        }
        $entry = new Entry($request->isMethod('POST') ? $request->request->all() : []);
        $account = $this->getUser();
        if ($request->isMethod('POST')) {
            $account instanceof Account ?: $this->mustCarryToken($request);
            $account = $account instanceof Account ? $account : $accounts->read($entry);
            if ($account instanceof Account && $members->accept($secret, $account)) {
                $this->getUser() instanceof Account ?: $security->login($account, 'form_login', 'main');

                return $this->seeOther('wall', ['garden' => $to['garden_id']]);
            }
        }
        $request->getSession()->set('_security.main.target_path', $request->getUri());

        return $this->render('account/link.html.twig', ['what' => 'join', 'secret' => $secret, 'to' => $to, 'who' => $account instanceof Account ? $account->name() : '', 'entry' => $entry], new Response(status: $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }

    private function password(Request $request, Entry $entry): Response
    {
        return $this->page($request, 'account/account.html.twig', ['account' => $this->signedIn(), 'entry' => $entry], 'account', $entry->isGood() ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    private function signedIn(): Account
    {
        $account = $this->getUser();

        return $account instanceof Account ? $account : throw $this->createAccessDeniedException();
    }

    private function mustCarryToken(Request $request): void
    {
        if (!$this->isCsrfTokenValid(self::TOKEN, $request->request->getString('_token'))) {
            throw new AccessDeniedHttpException('This page was open too long. Load it again and repeat what you did.');
        }
    }
}
