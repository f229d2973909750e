<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account;

use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * Who is signed in, and their devices.
 */
final readonly class MeController
{
    /** Says who is signed in. */
    #[Route('/api/staff/me', methods: ['GET'])]
    public function me(#[CurrentUser] Teacher $teacher): Me
    {
        return Me::fromTeacher($teacher);
    }
}
