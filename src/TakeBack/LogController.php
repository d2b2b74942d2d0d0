<?php

declare(strict_types=1);

namespace App\TakeBack;

use App\Log\MovedOn;
use App\Rows\Change;
use App\Shared\Page;
use App\Shared\Role;
use App\Shared\Visit;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;
use Symfony\Component\Routing\Attribute\Route;

final class LogController extends Page
{
    private const SHOWN = 100;

    #[Route('/g/{garden}/log', name: 'log', methods: ['GET'])]
    public function log(Request $request, Visit $visit, Connection $connection): Response
    {
        return $this->show($request, $visit, $connection, Response::HTTP_OK);
    }

    /** Hands take back what they entered themselves; growers whatever there is. */
    #[Route('/g/{garden}/log/{number}/take-back', name: 'take_back', methods: ['POST'], requirements: ['number' => '[0-9]{1,9}'], defaults: ['_least' => Role::Hand->value])]
    public function takeBack(Request $request, Visit $visit, int $number, EntityManagerInterface $entities, TakeBack $takeBack,
        Connection $connection, WayBack $wayBack): Response
    {
        $change = $entities->getRepository(Change::class)->findOneBy(['gardenId' => $visit->gardenId, 'number' => $number])
            ?? throw $this->createNotFoundException('There is no such change.');
        $with = '1' === $request->request->getString('with');
        if (!$visit->mayPlan() && ($with || $change->accountId !== $visit->accountId)) {
            throw new AccessDeniedHttpException('You may take back what you entered yourself. For the rest, ask a grower of this garden.');
        }
        try {
            $count = $with ? $takeBack->takeBackWith($change, $visit->accountId) : 1;
            $with ?: $takeBack->takeBack($change, $visit->accountId);
        } catch (MovedOn $moved) {
            return $this->show($request, $visit, $connection, Response::HTTP_CONFLICT, $moved->getMessage(), $change,
                $takeBack->inTheWay($change));
        }
        $this->addFlash('done', 1 === $count ? \sprintf('Taken back: %s', $change->words)
            : \sprintf('%d changes are taken back, the earliest: %s', $count, $change->words));

        $back = $wayBack->to($visit->gardenId, $request->request->getString('back'));

        return null === $back ? $this->seeOther('log', ['garden' => $visit->gardenId]) : $this->redirect($back, Response::HTTP_SEE_OTHER);
    }

    /** @param list<Change> $inTheWay */
    private function show(Request $request, Visit $visit, Connection $connection, int $status, ?string $problem = null,
        ?Change $asked = null, array $inTheWay = []): Response
    {
        $before = max(0, $request->query->getInt('before')) ?: \PHP_INT_MAX;
        $changes = $connection->fetchAllAssociative('SELECT c.number, c.at, c.words, c.account_id, c.takes_back, c.taken_back_by, a.name '
            ."AS who, c.images <> '[]' AS can FROM log_entry c LEFT JOIN account a ON a.id = c.account_id WHERE c.garden_id = ? AND "
            .'c.number < ? ORDER BY c.number DESC LIMIT '.self::SHOWN, [$visit->gardenId, $before]);

        return $this->page($request, 'record/log.html.twig', ['visit' => $visit, 'changes' => $changes, 'problem' => $problem,
            'asked' => $asked, 'in_the_way' => $inTheWay, 'shown' => self::SHOWN], 'log', $status);
    }
}
