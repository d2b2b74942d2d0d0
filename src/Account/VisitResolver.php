<?php

declare(strict_types=1);

namespace App\Account;

use App\Shared\Visit;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Controller\ValueResolverInterface;
use Symfony\Component\HttpKernel\ControllerMetadata\ArgumentMetadata;

/** Hands the visit the gate has made to a controller. */
final class VisitResolver implements ValueResolverInterface
{
    /** @return iterable<Visit> */
    public function resolve(Request $request, ArgumentMetadata $argument): iterable
    {
        $visit = $request->attributes->get('visit');

        return Visit::class === $argument->getType() && $visit instanceof Visit ? [$visit] : [];
    }
}
