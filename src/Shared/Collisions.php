<?php

declare(strict_types=1);

namespace App\Shared;

use Doctrine\DBAL\Exception\ConstraintViolationException;
use Doctrine\DBAL\Exception\LockWaitTimeoutException;
use Doctrine\ORM\OptimisticLockException;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;
use Symfony\Component\HttpKernel\Exception\ServiceUnavailableHttpException;

/** Two people writing the same in the same moment: the second is told so in words, never by the database. */
final class Collisions
{
    #[AsEventListener(priority: 10)]
    public function onException(ExceptionEvent $event): void
    {
        $failure = $event->getThrowable();
        $event->setThrowable(match (true) {
            $failure instanceof OptimisticLockException,
            $failure instanceof ConstraintViolationException => new ConflictHttpException('Somebody else changed the same in this moment. Nothing of yours is kept yet: go back, look how it stands now, and keep it again.', $failure),
            $failure instanceof LockWaitTimeoutException => new ServiceUnavailableHttpException(2,
                'Others are writing in this garden just now. Nothing of yours is kept yet: go back and keep it again.', $failure),
            default => $failure,
        });
    }
}
