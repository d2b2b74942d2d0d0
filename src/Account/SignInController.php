<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\Entity\Account;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Authentication\AuthenticationUtils;

final class SignInController extends AbstractController
{
    #[Route('/sign-in', name: 'sign_in', methods: ['GET', 'POST'])]
    public function signIn(AuthenticationUtils $attempts): Response
    {
        if ($this->getUser() instanceof Account) {
            return $this->redirectToRoute('home', status: Response::HTTP_SEE_OTHER);
        }
        $failed = null !== $attempts->getLastAuthenticationError();

        return $this->render('account/sign_in.html.twig', [
            'email' => $attempts->getLastUsername(),
            'failed' => $failed,
            'demo_email' => DemoAccount::EMAIL,
            'demo_password' => DemoAccount::PASSWORD,
        ], new Response(status: $failed ? Response::HTTP_UNPROCESSABLE_ENTITY : Response::HTTP_OK));
    }

    #[Route('/healthy', name: 'healthy', methods: ['GET'])]
    public function healthy(): Response
    {
        return new Response('ok', headers: ['Content-Type' => 'text/plain']);
    }
}
