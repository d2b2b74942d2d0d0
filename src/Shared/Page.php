<?php

declare(strict_types=1);

namespace App\Shared;

use App\Wording\Formatter;
use App\Wording\Sayer;
use JollyFurrow\Garden\Garden;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Contracts\Service\Attribute\Required;

/** What every page's controller shares: a whole page, or the one block htmx asked for. */
abstract class Page extends AbstractController
{
    protected Sayer $sayer;

    #[Required]
    public function setSayer(Sayer $sayer): void
    {
        $this->sayer = $sayer;
    }

    /** @param array<string, mixed> $values */
    protected function page(Request $request, string $template, array $values, string $block, int $status = Response::HTTP_OK): Response
    {
        if (($values['garden'] ?? null) instanceof Garden) {
            $this->sayer->speakFor(Formatter::of($values['garden']->settings));
        }
        $part = $request->headers->has('HX-Request') && !$request->headers->has('HX-Boosted');
        $response = $part ? $this->renderBlock($template, $block, $values) : $this->render($template, $values);
        $response->setVary('HX-Request');
        $response->headers->set('Cache-Control', 'no-store');

        return $response->setStatusCode($status);
    }

    /** Something was kept: its words, with a button that takes it back, on the page shown next. */
    protected function kept(Visit $visit, string $words, string $next): Response
    {
        $this->addFlash('kept', ['words' => ucfirst($words), 'garden' => $visit->gardenId, 'account' => $visit->accountId]);

        return $this->redirect($next, Response::HTTP_SEE_OTHER);
    }

    /** @param array<string, mixed> $parameters */
    protected function seeOther(string $route, array $parameters = []): Response
    {
        return $this->redirectToRoute($route, $parameters, Response::HTTP_SEE_OTHER);
    }
}
