<?php

declare(strict_types=1);

namespace App\Account;

use App\Rows\Account;
use App\Shared\Role;
use App\Shared\Visit;
use App\Wording\Formatter;
use App\Wording\Sayer;
use Doctrine\DBAL\Connection;
use JollyFurrow\Garden\DateForm;
use JollyFurrow\Measure\Units;
use JollyFurrow\Time\Day;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ControllerEvent;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Symfony\Component\Security\Csrf\CsrfToken;
use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;

/**
 * The one place that lets a request into a garden. A stranger finds nothing there; whoever may not change it changes
 * nothing; a request that changes something carries the page's token. A route may lower the role it asks for with the
 * default "_least"; otherwise every change needs a grower.
 */
final readonly class GardenGate
{
    public const TOKEN = 'act';
    /** Pages behind a link, which need no sign-in; what they send is as little to be forged as any. */
    private const FOR_ANYBODY = ['new_password', 'join', 'first_owner'];

    public function __construct(private Security $security, private Connection $connection, private CsrfTokenManagerInterface $tokens,
        private Sayer $sayer)
    {
    }

    #[AsEventListener(priority: 10)]
    public function onController(ControllerEvent $event): void
    {
        $request = $event->getRequest();
        $account = $this->security->getUser();
        if (!$event->isMainRequest() || (!$account instanceof Account && !\in_array($request->attributes->get('_route'),
            self::FOR_ANYBODY, true))) {
            return;
        }
        $visit = null;
        $gardenId = $request->attributes->get('garden');
        if (\is_string($gardenId) && $account instanceof Account) {
            $visit = $this->visit($gardenId, $account) ?? throw new NotFoundHttpException('There is no such garden.');
            $request->attributes->set('visit', $visit);
        }
        if ($request->isMethodSafe()) {
            return;
        }
        if ((int) $request->headers->get('Content-Length', '0') > 0 && 0 === $request->request->count() + $request->files->count()
            && str_starts_with($request->headers->get('Content-Type', ''), 'multipart/')) {
            throw new HttpException(Response::HTTP_REQUEST_ENTITY_TOO_LARGE, 'That is more than can be sent at once (32 MB). A garden file or a list is far smaller; is it the right one?');
        }
        $token = $request->headers->get('X-Token') ?? $request->request->getString('_token');
        if (!$this->tokens->isTokenValid(new CsrfToken(self::TOKEN, $token))) {
            throw new AccessDeniedHttpException('This page was open too long. Load it again and repeat what you did.');
        }
        if (null !== $visit && !$visit->role->mayDoWhat(Role::from($request->attributes->getString('_least', Role::Grower->value)))) {
            throw new AccessDeniedHttpException('You can look at this garden but not change it. Ask its owner.');
        }
    }

    private function visit(string $gardenId, Account $account): ?Visit
    {
        $row = $this->connection->fetchAssociative('SELECT g.name, g.units, g.currency, g.date_form, m.role, p.day '
            .'FROM member m JOIN garden g ON g.id = m.garden_id LEFT JOIN practice p ON p.garden_id = g.id '
            .'WHERE m.garden_id = ? AND m.account_id = ?', [$gardenId, $account->id]);
        if (false === $row || !\is_string($row['name']) || !\is_string($row['role'])) {
            return null;
        }

        $units = Units::tryFrom(\is_string($row['units']) ? $row['units'] : '') ?? Units::Metric;
        $dates = DateForm::tryFrom(\is_string($row['date_form']) ? $row['date_form'] : '') ?? DateForm::usual($units);
        $this->sayer->speakFor(new Formatter($units, \is_string($row['currency']) ? $row['currency'] : '', $dates));

        return new Visit($gardenId, $row['name'], $account->id, Role::from($row['role']),
            is_numeric($row['day']) ? Day::of((int) $row['day']) : null);
    }
}
