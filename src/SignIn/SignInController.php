<?php

declare(strict_types=1);

namespace App\SignIn;

use App\Account\DemoAccount;
use App\Rows\Account;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Core\Exception\TooManyLoginAttemptsAuthenticationException;
use Symfony\Component\Security\Http\Authentication\AuthenticationUtils;

final class SignInController extends AbstractController
{
    #[Route('/sign-in', name: 'sign_in', methods: ['GET', 'POST'])]
    public function signIn(AuthenticationUtils $attempts): Response
    {
        if ($this->getUser() instanceof Account) {
            return $this->redirectToRoute('home', status: Response::HTTP_SEE_OTHER);
        }
        $error = $attempts->getLastAuthenticationError();
        $failed = null !== $error;
        $wait = $error instanceof TooManyLoginAttemptsAuthenticationException;

        return $this->render('account/sign_in.html.twig', [
            'email' => $attempts->getLastUsername(),
            'failed' => $failed && !$wait,
            'wait' => $wait ? SignInThrottle::MINUTES : 0,
            'demo_email' => DemoAccount::EMAIL,
            'demo_password' => DemoAccount::PASSWORD,
        ], new Response(status: $wait ? Response::HTTP_TOO_MANY_REQUESTS : ($failed ? Response::HTTP_UNPROCESSABLE_ENTITY
            : Response::HTTP_OK)));
    }

    #[Route('/healthy', name: 'healthy', methods: ['GET'])]
    public function healthy(): Response
    {
        return new Response('ok', headers: ['Content-Type' => 'text/plain']);
    }
}
