<?php

declare(strict_types=1);

namespace App\Shared;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/** Packs pages for the way, for the built-in server does not. */
final class Gzip
{
    private const LEAST = 1024;

    #[AsEventListener(priority: -200)]
    public function onResponse(ResponseEvent $event): void
    {
        $response = $event->getResponse();
        $content = $response->getContent();
        if (!$event->isMainRequest() || false === $content || \strlen($content) < self::LEAST
            || $response->headers->has('Content-Encoding') || !\in_array('gzip', $event->getRequest()->getEncodings(), true)) {
            return;
        }
        $packed = gzencode($content, 5);
        if (false !== $packed) {
            $response->setContent($packed);
            $response->headers->set('Content-Encoding', 'gzip');
            $response->headers->set('Content-Length', (string) \strlen($packed));
            $response->setVary('Accept-Encoding', false);
        }
    }
}
