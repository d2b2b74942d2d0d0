<?php

declare(strict_types=1);

namespace App\Account;

use App\Form\Forms;
use App\Rows\Account;
use App\Shared\Page;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The account itself: its password, the links that invite or let in anew. The pages behind links need no sign-in. */
final class AccountController extends Page
{
    public function __construct(private readonly Forms $forms)
    {
    }

    #[Route('/account', name: 'account', methods: ['GET'])]
    public function account(Request $request): Response
    {
        return $this->password($request, $this->forms->fresh(NewPasswordType::class, new NewPassword(), ['old' => true]));
    }

    #[Route('/account', name: 'account_password', methods: ['POST'])]
    public function change(Request $request, Passwords $passwords, Security $security): Response
    {
        $account = $this->signedIn();
        $typed = new NewPassword();
        $form = $this->forms->sent($request, NewPasswordType::class, $typed, ['old' => true]);
        $old = $form->get('old')->getData();
        if (!$passwords->isRight($account, \is_string($old) ? $old : '')) {
            Forms::fault($form, 'old', 'This is not your password as it is now.');
        }
        if (!$form->isValid()) {
            return $this->password($request, $form);
        }
        $passwords->set($account, $typed->password);
        $security->login($account, 'form_login', 'main');
        $this->addFlash('done', 'The new password is saved. Other devices are signed out.');

        return $this->seeOther('account');
    }

    #[Route('/reset/{secret}', name: 'new_password', methods: ['GET', 'POST'])]
    public function reset(Request $request, string $secret, Passwords $passwords): Response
    {
        $account = $passwords->whose($secret);
        if (null === $account) {
            return $this->gone();
        }
        $typed = new NewPassword();
        $form = $this->typedInto($request, NewPasswordType::class, $typed);
        if ($form->isSubmitted() && $form->isValid()) {
            if (!$passwords->setBy($secret, $typed->password)) {
                return $this->gone();
            }
            $this->addFlash('done', 'The new password is saved. Sign in with it.');

            return $this->seeOther('sign_in');
        }

        return $this->link($form, ['what' => 'reset', 'secret' => $secret, 'email' => $account->getUserIdentifier()]);
    }

    #[Route('/join/{secret}', name: 'join', methods: ['GET', 'POST'])]
    public function join(Request $request, string $secret, Members $members, Accounts $accounts, Security $security): Response
    {
        $to = $members->invitation($secret);
        if (null === $to) {
            return $this->gone();
        }
        $account = $this->getUser();
        $typed = new NewAccount();
        $form = $account instanceof Account ? $this->forms->fresh(NewAccountType::class, $typed) : $this->typedInto($request,
            NewAccountType::class, $typed);
        if ($request->isMethod('POST')) {
            if ($account instanceof Account || $accounts->isGood($form, $typed)) {
                $member = $members->accept($secret, static fn (): Account => $account instanceof Account ? $account
                    : $accounts->openTyped($typed));
                if (null === $member) {
                    return $this->gone();
                }
                $account instanceof Account ?: $security->login($member, 'form_login', 'main');

                return $this->seeOther('week', ['garden' => $to['garden_id']]);
            }
        }
        $request->getSession()->set('_security.main.target_path', $request->getUri());

        return $this->link($form, ['what' => 'join', 'secret' => $secret, 'to' => $to, 'who' => $account instanceof Account
            ? $account->name() : '']);
    }

    /**
     * @param class-string<NewPasswordType|NewAccountType> $type
     *
     * @return FormInterface<mixed>
     */
    private function typedInto(Request $request, string $type, NewPassword $typed): FormInterface
    {
        return $request->isMethod('POST') ? $this->forms->sent($request, $type, $typed) : $this->forms->fresh($type, $typed);
    }

    /** @param FormInterface<mixed> $form */
    private function password(Request $request, FormInterface $form): Response
    {
        return $this->page($request, 'account/account.html.twig', ['account' => $this->signedIn(), 'form' => $form->createView()],
            'account', Forms::status($form));
    }

    /**
     * @param FormInterface<mixed> $form
     * @param array<string, mixed> $values
     */
    private function link(FormInterface $form, array $values): Response
    {
        return $this->render('account/link.html.twig', [...$values, 'form' => $form->createView()],
            new Response(status: Forms::status($form)));
    }

    private function gone(): Response
    {
        return $this->render('account/link.html.twig', ['what' => 'gone'], new Response(status: Response::HTTP_NOT_FOUND));
    }

    private function signedIn(): Account
    {
        $account = $this->getUser();

        return $account instanceof Account ? $account : throw $this->createAccessDeniedException();
    }
}
