<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\SignIn;

use FreshHuddle\App\Account\Device\TeacherAuthenticator;
use FreshHuddle\App\Account\Device\TeacherDevices;
use FreshHuddle\App\Account\Me;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Http\ClientAddress;
use FreshHuddle\App\Http\ResponseWithCookies;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/**
 * Signs teachers in and out.
 */
#[Route('/api/staff')]
final readonly class SignInController
{
    public function __construct(
        private SignIns $signIns,
        private TeacherDevices $devices,
        private KnownDevice $known,
    ) {
    }

    /**
     * Signs a teacher in.
     *
     * @return ResponseWithCookies<Me>
     */
    #[Route('/sign-in', methods: ['POST'])]
    public function signIn(#[Body] SignIn $request, Request $http): ResponseWithCookies
    {
        $remember = $http->cookies->get(KnownDevice::COOKIE);
        $remember = \is_string($remember) ? $remember : '';
        $teacher = $this->signIns->check($request, ClientAddress::fromRequest($http), $remember);
        $this->devices->signOut(TeacherAuthenticator::token($http));

        return new ResponseWithCookies(Me::fromTeacher($teacher), [
            self::cookie($http, TeacherDevices::COOKIE, $this->devices->signIn($teacher), TeacherDevices::LASTS),
            self::cookie($http, KnownDevice::COOKIE, $this->known->with($remember, $teacher), KnownDevice::LASTS),
        ]);
    }

    /** Signs this device out. */
    #[Route('/sign-out', methods: ['POST'])]
    public function signOut(Request $http): Response
    {
        $this->devices->signOut(TeacherAuthenticator::token($http));
        $response = new Response(status: 204);
        $response->headers->clearCookie(
            TeacherDevices::COOKIE,
            '/',
            null,
            $http->isSecure(),
            true,
            Cookie::SAMESITE_LAX,
        );

        return $response;
    }

    private static function cookie(Request $http, string $name, string $value, int $seconds): Cookie
    {
        return Cookie::create(
            $name,
            $value,
            time() + $seconds,
            '/',
            null,
            $http->isSecure(),
            true,
            false,
            Cookie::SAMESITE_LAX,
        );
    }
}
