<?php

declare(strict_types=1);

namespace App\Account;

use App\Form\Forms;
use App\Shared\Page;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Where an installation begins. Once there is an account, there is nothing here. */
final class FirstOwnerController extends Page
{
    #[Route('/first', name: 'first_owner', methods: ['GET', 'POST'])]
    public function begin(Request $request, FirstOwner $first, Accounts $accounts, Forms $forms, Security $security): Response
    {
        if (!$first->isWanted()) {
            throw $this->createNotFoundException('There is an owner already.');
        }
        $typed = new FirstAccount();
        if (!$request->isMethod('POST')) {
            $typed->code = mb_substr($request->query->getString('code'), 0, 100);

            return $this->page($request, 'account/first.html.twig', ['form' => $forms->fresh(FirstAccountType::class, $typed)
                ->createView()], 'first');
        }
        $form = $forms->sent($request, FirstAccountType::class, $typed);
        if (!$first->isRight($typed->code)) {
            Forms::fault($form, 'code',
                'This is not the code. It stands in the window the server was started in; each start makes a new one.');
        }
        $account = $accounts->isGood($form, $typed) ? $first->open($typed->code, $typed) : null;
        if (null === $account) {
            return $first->isWanted() ? $this->page($request, 'account/first.html.twig', ['form' => $form->createView()], 'first',
                Forms::status($form))
                : throw $this->createNotFoundException('Somebody was faster.');
        }
        $security->login($account, 'form_login', 'main');

        return $this->seeOther('gardens');
    }
}
