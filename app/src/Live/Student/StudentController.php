<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Student;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\SignUp\SignUps;
use FreshHuddle\App\Grouping\SignUp\TakeSeat;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Live\Admission\StudentAdmission;
use FreshHuddle\App\Live\Command\GroupCalls;
use FreshHuddle\App\Live\Notice\NoticeStore;
use FreshHuddle\App\Live\Presence\PresenceStore;
use FreshHuddle\App\Live\Signal\MakeCallRequest;
use FreshHuddle\App\Rooms\Own\RoomTicket;
use FreshHuddle\App\Rooms\Source\Sources;
use FreshHuddle\App\Roster\Device\StudentUser;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * A student's page: what is on now, signs of life, calls for help.
 */
#[Route('/api/student')]
final readonly class StudentController
{
    public function __construct(
        private StudentPage $page,
        private GroupCalls $calls,
        private PresenceStore $presence,
        private SignUps $signUps,
        private Clock $clock,
        private Sources $sources,
        private NoticeStore $notices,
        private StudentAdmission $rooms,
    ) {
    }

    /** Shows the student's page. */
    #[Route('/now', methods: ['GET'])]
    public function now(#[CurrentUser] StudentUser $student): StudentNow
    {
        $this->presence->pageIsAlive($student->id);

        return $this->page->now($student);
    }

    /** Takes a seat while a sign-up is open. */
    #[Route('/seat', methods: ['POST'])]
    public function takeSeat(#[CurrentUser] StudentUser $student, #[Body] TakeSeat $request): StudentNow
    {
        $this->signUps->choose($student, $request->table);

        return $this->page->now($student);
    }

    /** Says that the student's page is still open. */
    #[Route('/sign', methods: ['POST'])]
    public function sign(#[CurrentUser] StudentUser $student): SignAnswer
    {
        $known = $this->presence->record($student->id, $student->lessonId);

        return new SignAnswer($student->lessonId, $known['seq'], $known['seenIn'], $this->clock->ms());
    }

    /** Says that the student has opened the room of their group. */
    #[Route('/room/open', methods: ['POST'])]
    public function openRoom(#[CurrentUser] StudentUser $student): StudentNow
    {
        $this->page->openRoom($student);

        return $this->page->now($student);
    }

    /** Asks for help for the student's group, or takes that back. */
    #[Route('/call', methods: ['PUT'])]
    public function call(#[CurrentUser] StudentUser $student, #[Body] MakeCallRequest $request): StudentNow
    {
        $this->calls->call($student, $request->about);

        return $this->page->now($student);
    }

    /** Says that the student's page has shown a message. */
    #[Route('/notices/{seq}/seen', requirements: ['seq' => '[1-9]\d{0,8}'], methods: ['POST'])]
    public function sawNotice(#[CurrentUser] StudentUser $student, int $seq): void
    {
        if (null !== $student->lessonId) {
            $this->notices->seen($student->lessonId, $seq, $student->id);
        }
    }

    /** Lets the student into the room of our own where they belong now. */
    #[Route('/room', methods: ['POST'])]
    public function enterRoom(#[CurrentUser] StudentUser $student): RoomTicket
    {
        return $this->rooms->pass($student);
    }

    /** Leads the student to the room where they belong now. */
    #[Route('/room', methods: ['GET'])]
    public function room(#[CurrentUser] StudentUser $student): RedirectResponse
    {
        $way = $this->page->way($student);
        if (null === $way) {
            return new RedirectResponse('/student?room=none');
        }
        $this->presence->followed($student->id, $way['place']);

        return new RedirectResponse(
            $this->sources->get($way['source'])->entryUrl($way['link']),
            headers: ['Cache-Control' => 'no-store', 'Referrer-Policy' => 'no-referrer'],
        );
    }
}
