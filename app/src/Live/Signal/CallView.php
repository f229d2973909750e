<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Signal;

use FreshHuddle\Core\Live\Signal\CallAbout;

/**
 * A group's call, as staff see it.
 */
final readonly class CallView
{
    /**
     * @param string   $by     the student who called
     * @param int      $at     milliseconds since 1970
     * @param int|null $seenAt when the group was told that it was seen. Milliseconds since 1970
     */
    public function __construct(public string $by, public CallAbout $about, public int $at, public ?int $seenAt)
    {
    }
}
