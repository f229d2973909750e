<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Speech;

/**
 * Who may speak in the main session, for the staff.
 */
final readonly class SpeakingView
{
    /**
     * @param bool         $muted   everybody but the staff and the speaker
     * @param string|null  $speaker the student who has the microphone
     * @param list<string> $asking  students who ask to speak, whoever has waited longest first
     */
    public function __construct(public bool $muted, public ?string $speaker, public array $asking)
    {
    }
}
