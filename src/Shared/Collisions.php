<?php

declare(strict_types=1);

namespace App\Shared;

use Doctrine\DBAL\Exception\ConstraintViolationException;
use Doctrine\DBAL\Exception\DriverException;
use Doctrine\DBAL\Exception\LockWaitTimeoutException;
use Doctrine\ORM\OptimisticLockException;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Symfony\Component\HttpKernel\Exception\ServiceUnavailableHttpException;

/** Two people writing the same in the same moment, or a disk with no room left: told in words, never by the database. */
final class Collisions
{
    /** SQLITE_FULL, and what a write that found no room ends in. */
    private const FULL = '/database or disk is full|disk I\/O error/';

    #[AsEventListener(priority: 10)]
    public function onException(ExceptionEvent $event): void
    {
        $failure = $event->getThrowable();
        $event->setThrowable(match (true) {
            $failure instanceof OptimisticLockException,
            $failure instanceof ConstraintViolationException => new ConflictHttpException('Somebody else changed the same in this '
                .'moment. Nothing of yours is saved yet: go back, look how it stands now, and save it again.', $failure),
            $failure instanceof LockWaitTimeoutException => new ServiceUnavailableHttpException(2,
                'Others are writing in this garden just now. Nothing of yours is saved yet: go back and save it again.', $failure),
            $failure instanceof DriverException && 1 === preg_match(self::FULL, $failure->getMessage()) => new HttpException(
                Response::HTTP_INSUFFICIENT_STORAGE, 'The disk of the server is full. Nothing of this is saved, and nothing that was saved '
                    .'before is lost. Make room there, then go back and save it again.', $failure),
            default => $failure,
        });
    }
}
