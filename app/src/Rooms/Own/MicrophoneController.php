<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Own;

use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Roster\Device\StudentUser;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * Whether students' devices can send sound.
 */
final readonly class MicrophoneController
{
    public function __construct(private MicrophoneTrials $trials)
    {
    }

    /** Says whether this device could send sound the last time. */
    #[Route('/api/student/microphone', methods: ['PUT'])]
    public function note(#[CurrentUser] StudentUser $student, #[Body] SaveTrial $request): void
    {
        $this->trials->note($student->id, $request->outcome);
    }
}
