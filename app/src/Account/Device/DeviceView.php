<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Device;

/**
 * A device that is signed in to an account, as its owner sees it.
 */
final readonly class DeviceView
{
    /**
     * @param int  $signedInAt milliseconds since 1970
     * @param bool $thisOne    the device that asks
     */
    public function __construct(public string $id, public int $signedInAt, public bool $thisOne)
    {
    }
}
