<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Http\ClientAddress;
use FreshHuddle\App\Http\ResponseWithCookies;
use FreshHuddle\App\Roster\Device\StudentAuthenticator;
use FreshHuddle\App\Roster\Device\StudentDevices;
use FreshHuddle\App\Roster\Device\StudentDeviceStore;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\App\Roster\Door\Doorway\Doorway;
use FreshHuddle\App\Stream\StreamAddress;
use FreshHuddle\App\Stream\StreamView;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * The students' door.
 */
#[Route('/api/student')]
final readonly class DoorController
{
    public function __construct(
        private Door $door,
        private Doorway $doorway,
        private StudentDeviceStore $devices,
        private StreamAddress $address,
        private StudentDevices $givenUp,
    ) {
    }

    /** Says which class has these join words, and how students join it. */
    #[Route('/classes/{doorWord}', methods: ['GET'])]
    public function look(string $doorWord, Request $http): ClassDoor
    {
        return $this->door->find($doorWord, ClientAddress::fromRequest($http));
    }

    /**
     * Joins a class under a name or with a slip.
     *
     * @return ResponseWithCookies<AtDoor>
     */
    #[Route('/join', methods: ['POST'])]
    public function join(#[Body(2_048)] JoinClass $request, Request $http): ResponseWithCookies
    {
        $token = $this->door->join($request, StudentAuthenticator::token($http), ClientAddress::fromRequest($http));
        $student = $this->devices->student($token);

        return new ResponseWithCookies(null === $student ? $this->stateFor($token) : new AtDoor(DoorState::In), [
            Cookie::create(
                StudentDeviceStore::COOKIE,
                $token,
                time() + StudentDeviceStore::LASTS,
                '/',
                null,
                $http->isSecure(),
                true,
                false,
                Cookie::SAMESITE_LAX,
            ),
        ]);
    }

    /** Says whether this device is in, waits to be let in, or is outside. */
    #[Route('/door', methods: ['GET'])]
    public function state(Request $http): AtDoor
    {
        $token = StudentAuthenticator::token($http);
        $this->doorway->letInByName($token);

        return $this->stateFor($token);
    }

    private function stateFor(string $token): AtDoor
    {
        $state = $this->doorway->state($token);
        $ended = DoorState::Outside === $state && '' !== $token ? $this->devices->ended($token) : null;
        $typed =
            DoorState::Waiting === $state && null !== $this->doorway->meant($token)
                ? $this->doorway->typed($token)
                : null;

        return new AtDoor($state, $ended[0] ?? null, $ended[1] ?? $typed, null !== $typed);
    }

    /** Answers whether another device that asks to be this student is theirs. */
    #[Route('/other-device', methods: ['POST'])]
    public function otherDevice(#[CurrentUser] StudentUser $student, #[Body] OtherDevice $request): void
    {
        $this->doorway->answer($student->id, $request->guest, $request->mine);
    }

    /** Gives the address where this device hears of changes. */
    #[Route('/stream', methods: ['GET'])]
    public function stream(#[CurrentUser] StudentUser $student): StreamView
    {
        return $this->address->forChannel($student->channel);
    }

    /** Says that this device no longer speaks for the student. */
    #[Route('/leave', methods: ['POST'])]
    public function leave(#[CurrentUser] StudentUser $student, Request $http): Response
    {
        $this->givenUp->leave($student, StudentAuthenticator::token($http));
        $response = new Response(status: 204);
        $response->headers->clearCookie(
            StudentDeviceStore::COOKIE,
            '/',
            null,
            $http->isSecure(),
            true,
            Cookie::SAMESITE_LAX,
        );

        return $response;
    }
}
