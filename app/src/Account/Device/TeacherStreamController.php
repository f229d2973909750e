<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Device;

use FreshHuddle\App\Stream\StreamAddress;
use FreshHuddle\App\Stream\StreamView;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/**
 * Gives a teacher's page the address of its stream.
 */
final readonly class TeacherStreamController
{
    public function __construct(private StreamAddress $address)
    {
    }

    /** Gives the address where this device hears of changes. */
    #[Route('/api/staff/stream', methods: ['GET'])]
    public function __invoke(Request $http): StreamView
    {
        $device = $http->attributes->get(TeacherDevice::class);
        \assert($device instanceof TeacherDevice);

        return $this->address->forChannel($device->channel);
    }
}
