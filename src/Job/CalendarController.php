<?php

declare(strict_types=1);

namespace App\Job;

use App\Links\LinkKind;
use App\Links\SecretLinks;
use App\Shared\Page;
use App\Shared\Role;
use App\Shared\Today;
use App\Shared\Visit;
use App\Store\Snapshot;
use App\Wording\Formatter;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** The jobs in a calendar of one's own, by an address with a secret; it opens nothing once its maker has left the garden. */
final class CalendarController extends Page
{
    public function __construct(private readonly SecretLinks $links, private readonly Snapshot $snapshot)
    {
    }

    #[Route('/g/{garden}/calendar', name: 'calendar', methods: ['GET'])]
    public function addresses(Request $request, Visit $visit): Response
    {
        return $this->page($request, 'job/calendar.html.twig', ['visit' => $visit, 'garden' => $this->snapshot->of($visit->gardenId),
            'links' => $this->links->ofGarden(LinkKind::Calendar, $visit->gardenId)], 'calendar');
    }

    #[Route('/g/{garden}/calendar', name: 'calendar_make', methods: ['POST'], defaults: ['_least' => Role::Hand->value])]
    public function make(Visit $visit): Response
    {
        $secret = $this->links->make(LinkKind::Calendar, ['garden_id' => $visit->gardenId, 'made_by' => $visit->accountId]);
        $address = $this->generateUrl('calendar_read', ['secret' => $secret], UrlGeneratorInterface::ABSOLUTE_URL);
        $this->addFlash('done', 'Copy this address now into your calendar; it is not shown again: '.$address);

        return $this->seeOther('calendar', ['garden' => $visit->gardenId]);
    }

    /** One's own; an owner's for everybody. */
    #[Route('/g/{garden}/calendar/withdraw', name: 'calendar_withdraw', methods: ['POST'], defaults: ['_least' => Role::Hand->value])]
    public function withdraw(Request $request, Visit $visit): Response
    {
        $id = $request->request->getString('link');
        foreach ($this->links->ofGarden(LinkKind::Calendar, $visit->gardenId) as $link) {
            if ($link->id === $id && ($visit->isOwner() || $link->madeBy === $visit->accountId)) {
                $this->links->revoke(LinkKind::Calendar, $visit->gardenId, $id);
                $this->addFlash('done', 'The address is withdrawn.');
            }
        }

        return $this->seeOther('calendar', ['garden' => $visit->gardenId]);
    }

    #[Route('/calendar/{secret}.ics', name: 'calendar_read', methods: ['GET'])]
    public function read(string $secret, Sites $sites, WeekCalendar $calendar, Today $today): Response
    {
        $link = $this->links->openOfMember(LinkKind::Calendar, $secret);
        if (null === $link || null === $link->garden) {
            throw $this->createNotFoundException('There is no such calendar.');
        }
        $site = $sites->of($link->garden);
        $this->sayer->speakFor(Formatter::of($site->garden->settings));

        return new Response($calendar->of($site, $link->garden, $today->now()->getTimestamp()), headers: [
            'Content-Type' => 'text/calendar; charset=utf-8', 'Cache-Control' => 'private, max-age=900',
            'Content-Disposition' => 'inline; filename="jobs.ics"']);
    }
}
