<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Calendar;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\OpenApi\FileTypes;
use FreshHuddle\App\Http\SignedAddress;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * The calendar other programs subscribe to.
 */
final readonly class CalendarController
{
    public function __construct(private CalendarFeeds $feeds, private LessonAccess $access)
    {
    }

    /** Gives the address of the teacher's calendar. */
    #[Route('/api/staff/calendar', methods: ['GET'])]
    public function show(#[CurrentUser] Teacher $teacher): CalendarView
    {
        return new CalendarView($this->feeds->address($teacher));
    }

    /** Gives the calendar a new address; the old one shows nothing any more. */
    #[Route('/api/staff/calendar', methods: ['POST'])]
    public function renew(#[CurrentUser] Teacher $teacher): CalendarView
    {
        $this->feeds->renew($teacher);

        return new CalendarView($this->feeds->address($teacher));
    }

    /** Gives the calendar to whoever has its address. `?rooms=1` adds an entry for each room. */
    #[Route('/api/calendar/{token}.ics', methods: ['GET'], requirements: ['token' => SignedAddress::PATTERN])]
    #[FileTypes('text/calendar')]
    public function feed(string $token, Request $request): Response
    {
        $feed = $this->feeds->feed($token, '1' === $request->query->get('rooms'));

        return null === $feed ? new Response('', 404) : self::answer($feed, 'inline');
    }

    /** Gives one lesson as a calendar file. `?rooms=1` adds an entry for each room. */
    #[Route('/api/staff/lessons/{id}/calendar.ics', methods: ['GET'], requirements: ['id' => Requirement::UUID])]
    #[ForAssistants]
    #[FileTypes('text/calendar')]
    public function file(#[CurrentUser] Teacher $teacher, string $id, Request $request): Response
    {
        $lesson = $this->access->lesson($teacher, $id)->id;

        return self::answer(
            $this->feeds->file($teacher, $lesson, '1' === $request->query->get('rooms')),
            'attachment; filename="lesson.ics"',
        );
    }

    private static function answer(string $calendar, string $disposition): Response
    {
        return new Response($calendar, 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => $disposition,
            'Cache-Control' => 'no-store',
        ]);
    }
}
