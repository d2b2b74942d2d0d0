<?php

declare(strict_types=1);

namespace App\Record;

use App\Account\Visit;
use App\Record\Entity\Change;
use App\Shared\Page;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class LogController extends Page
{
    private const SHOWN = 100;

    #[Route('/g/{garden}/log', name: 'log', methods: ['GET'])]
    public function log(Request $request, Visit $visit, Connection $connection): Response
    {
        return $this->show($request, $visit, $connection, null, Response::HTTP_OK);
    }

    #[Route('/g/{garden}/log/{number}/take-back', name: 'take_back', methods: ['POST'], requirements: ['number' => '\d{1,9}'])]
    public function takeBack(Request $request, Visit $visit, int $number, EntityManagerInterface $entities, TakeBack $takeBack, Connection $connection): Response
    {
        $change = $entities->getRepository(Change::class)->findOneBy(['gardenId' => $visit->gardenId, 'number' => $number]) ?? throw $this->createNotFoundException('There is no such change.');
        try {
            $takeBack->takeBack($change, $visit->accountId);
        } catch (MovedOn $moved) {
            return $this->show($request, $visit, $connection, $moved->getMessage(), Response::HTTP_CONFLICT);
        }

        return $this->seeOther('log', ['garden' => $visit->gardenId]);
    }

    private function show(Request $request, Visit $visit, Connection $connection, ?string $problem, int $status): Response
    {
        $changes = $connection->fetchAllAssociative("SELECT c.number, c.at, c.words, c.takes_back, c.taken_back_by, a.name AS who, c.images <> '[]' AS can FROM log_entry c LEFT JOIN account a ON a.id = c.account_id WHERE c.garden_id = ? ORDER BY c.number DESC LIMIT ".self::SHOWN, [$visit->gardenId]);

        return $this->page($request, 'record/log.html.twig', ['visit' => $visit, 'changes' => $changes, 'problem' => $problem], 'log', $status);
    }
}
