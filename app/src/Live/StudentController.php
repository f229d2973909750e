<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Grouping\SignUps;
use FreshHuddle\App\Grouping\TakeSeat;
use FreshHuddle\App\Http\Problem;
use Symfony\Component\DependencyInjection\Attribute\Target;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[Route('/api/student')]
final readonly class StudentController
{
    /** How long a device speaks for a student, in seconds: a school day. */
    private const DEVICE_FOR = 16 * 3_600;

    public function __construct(
        private StudentPage $page,
        private StudentDevices $devices,
        private Presence $presence,
        private LiveChange $liveChange,
        private SignUps $signUps,
        private Connection $db,
        private LessonClock $clock,
        #[Target('class_codes')]
        private RateLimiterFactoryInterface $codeTries,
    ) {
    }

    #[Route('/classes/{code}', methods: ['GET'])]
    public function door(string $code, Request $http): ClassDoor
    {
        $tries = $this->codeTries->create($http->getClientIp());
        if ($tries->consume(0)->getRemainingTokens() < 1) {
            throw new Problem(429, 'Too many wrong codes. Wait a minute, then look at the code again.');
        }
        $door = $this->page->door($code);
        if (null === $door) {
            $tries->consume();
            throw new Problem(404, 'No class has this code. Look again: it is six letters.', 'code');
        }

        return $door;
    }

    #[Route('/join', methods: ['POST'])]
    public function join(#[MapRequestPayload] JoinClass $request, Request $http): Response
    {
        $door = $this->door($request->code, $http);
        if (!\in_array($request->student, array_map(static fn (NameAtDoor $name): string => $name->id, $door->names), true)) {
            throw new Problem(404, 'This name is not on the list of this class.', 'student');
        }
        $this->devices->release(StudentAuthenticator::token($http));
        $token = $this->devices->claim($request->student)
            ?? throw new Problem(409, 'Another device has chosen this name. If it is yours, ask your teacher to set it free.', 'student');
        // Whoever comes is not absent.
        $this->db->update('student', ['absent' => 'f'], ['id' => $request->student]);
        $this->presence->pageIsAlive($request->student);
        $student = $this->devices->student($token);
        \assert(null !== $student);
        $this->liveChange->ofArrival($student->lessonId);

        $response = new Response(status: 204);
        $response->headers->setCookie(Cookie::create(StudentDevices::COOKIE, $token, time() + self::DEVICE_FOR, '/', null, $http->isSecure(), true, false, Cookie::SAMESITE_LAX));

        return $response;
    }

    /** This device no longer speaks for the student. */
    #[Route('/leave', methods: ['POST'])]
    public function leave(#[CurrentUser] StudentUser $student, Request $http): Response
    {
        $this->devices->release(StudentAuthenticator::token($http));
        $this->liveChange->ofArrival($student->lessonId);
        $response = new Response(status: 204);
        $response->headers->clearCookie(StudentDevices::COOKIE, '/', null, $http->isSecure(), true, Cookie::SAMESITE_LAX);

        return $response;
    }

    #[Route('/now', methods: ['GET'])]
    public function now(#[CurrentUser] StudentUser $student): StudentNow
    {
        $this->presence->pageIsAlive($student->id);

        return $this->page->now($student);
    }

    /** Takes a seat while a sign-up is open. */
    #[Route('/seat', methods: ['POST'])]
    public function takeSeat(#[CurrentUser] StudentUser $student, #[MapRequestPayload] TakeSeat $request): StudentNow
    {
        $this->signUps->take($student, $request->table);

        return $this->page->now($student);
    }

    /** A sign of life. */
    #[Route('/sign', methods: ['POST'])]
    public function sign(#[CurrentUser] StudentUser $student): SignAnswer
    {
        $this->presence->pageIsAlive($student->id);

        return new SignAnswer($this->page->lastSeq($student), $this->clock->ms());
    }

    /** The way to where the student belongs now. */
    #[Route('/room', methods: ['GET'])]
    public function room(#[CurrentUser] StudentUser $student): Response
    {
        $way = $this->page->way($student);
        if (null === $way) {
            return new RedirectResponse('/student?room=none');
        }
        $this->presence->followed($student->id, $way['place']);

        return new RedirectResponse($way['link'], headers: ['Cache-Control' => 'no-store', 'Referrer-Policy' => 'no-referrer']);
    }
}
