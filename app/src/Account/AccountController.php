<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account;

use FreshHuddle\App\Account\Device\DeviceView;
use FreshHuddle\App\Account\Device\TeacherDevice;
use FreshHuddle\App\Account\Device\TeacherDevices;
use FreshHuddle\App\Account\Password\ChangePassword;
use FreshHuddle\App\Account\Password\Passwords;
use FreshHuddle\App\Http\Body\Body;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * A teacher's own account.
 */
#[Route('/api/staff')]
final readonly class AccountController
{
    public function __construct(private TeacherDevices $devices, private Passwords $passwords)
    {
    }

    /**
     * Lists the devices this teacher is signed in on.
     *
     * @return list<DeviceView> where the teacher is signed in, the latest first
     */
    #[Route('/devices', methods: ['GET'])]
    public function devices(#[CurrentUser] Teacher $teacher, Request $http): array
    {
        $own = self::device($http);

        return array_map(
            static fn (TeacherDevice $device): DeviceView => new DeviceView(
                $device->id,
                1_000 * $device->signedInAt->getTimestamp(),
                $device === $own,
            ),
            $this->devices->forTeacher($teacher),
        );
    }

    /** Signs the teacher out on every other device. */
    #[Route('/devices', methods: ['DELETE'])]
    public function signOutElsewhere(#[CurrentUser] Teacher $teacher, Request $http): void
    {
        $this->devices->signOutOthers($teacher, self::device($http));
    }

    /** Changes the password and signs every other device out. */
    #[Route('/password', methods: ['POST'])]
    public function changePassword(
        #[CurrentUser]
        Teacher $teacher,
        #[Body]
        ChangePassword $request,
        Request $http,
    ): void {
        $this->passwords->change($teacher, $request);
        $this->devices->signOutOthers($teacher, self::device($http));
    }

    private static function device(Request $http): TeacherDevice
    {
        $device = $http->attributes->get(TeacherDevice::class);
        \assert($device instanceof TeacherDevice);

        return $device;
    }
}
