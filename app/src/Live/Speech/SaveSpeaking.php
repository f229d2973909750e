<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Speech;

/**
 * The body of a request: who may speak in the main session from now on.
 */
final readonly class SaveSpeaking
{
    /**
     * @param bool        $muted   everybody but the staff and the speaker
     * @param string|null $speaker the student who has the microphone; null: nobody
     */
    public function __construct(public bool $muted, public ?string $speaker = null)
    {
    }
}
