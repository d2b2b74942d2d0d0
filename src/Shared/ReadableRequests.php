<?php

declare(strict_types=1);

namespace App\Shared;

use App\Wording\Sayer;
use JollyFurrow\Exception\BadInput;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;

/**
 * What cannot be text is refused at the door, before anything looks at it: bytes that are not UTF-8, and the character
 * nought, in an address or a field. Bad input that no page has words for is told as such, never as a fault of ours.
 */
final readonly class ReadableRequests
{
    public function __construct(private Sayer $sayer)
    {
    }

    #[AsEventListener(priority: 200)]
    public function onRequest(RequestEvent $event): void
    {
        if ($event->isMainRequest() && !self::isReadable($event->getRequest())) {
            throw new BadRequestHttpException('This holds signs that are no text (not UTF-8). Type it again, or save the list as CSV in UTF-8 and send the file.');
        }
    }

    #[AsEventListener(priority: 20)]
    public function onException(ExceptionEvent $event): void
    {
        $failure = $event->getThrowable();
        if ($failure instanceof BadInput) {
            $event->setThrowable(new BadRequestHttpException($this->sayer->why($failure), $failure));
        }
    }

    private static function isReadable(Request $request): bool
    {
        $typed = [rawurldecode($request->getPathInfo()), $request->query->all(), $request->request->all(), $request->cookies->all()];
        $good = true;
        array_walk_recursive($typed, static function (mixed $value, int|string $name) use (&$good): void {
            foreach ([$value, $name] as $text) {
                $good = $good && (!\is_string($text) || (!str_contains($text, "\0") && mb_check_encoding($text, 'UTF-8')));
            }
        });

        return $good;
    }
}
