<?php

declare(strict_types=1);

namespace App\SignIn;

use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Http\EntryPoint\AuthenticationEntryPointInterface;
use Symfony\Component\Security\Http\Util\TargetPathTrait;

/**
 * Whoever is not signed in any more goes to the sign-in page, and from there back to where they were. A part of a page asked
 * for by a script takes the whole page there: the sign-in page must never stand inside a panel.
 */
final class SignInFirst implements AuthenticationEntryPointInterface
{
    use TargetPathTrait;

    public function __construct(private readonly UrlGeneratorInterface $urls)
    {
    }

    public function start(Request $request, ?AuthenticationException $authException = null): Response
    {
        $signIn = $this->urls->generate('sign_in');
        if (!$request->headers->has('HX-Request')) {
            return new RedirectResponse($request->getUriForPath(substr($signIn, \strlen($request->getBaseUrl()))));
        }
        $page = $request->headers->get('HX-Current-URL', '');
        if ($request->hasSession() && str_starts_with($page, $request->getSchemeAndHttpHost().'/')) {
            $this->saveTargetPath($request->getSession(), 'main', $page);
        }

        return new Response(status: Response::HTTP_UNAUTHORIZED, headers: ['HX-Redirect' => $signIn]);
    }
}
