<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Signal;

use FreshHuddle\Core\Live\Signal\CallAbout;

/**
 * The body of a request: a group asks for help, and with what.
 */
final readonly class MakeCallRequest
{
    /**
     * @param CallAbout|null $about null: the group needs the teacher no longer
     */
    public function __construct(public ?CallAbout $about = null)
    {
    }
}
