<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Invitation;

use FreshHuddle\App\Http\Body\Body;
use Symfony\Component\Routing\Attribute\Route;

/**
 * For who holds the link of an invitation.
 */
#[Route('/api/account/invitations/{token}', requirements: ['token' => '[A-Za-z0-9._-]{40,120}'])]
final readonly class InvitationController
{
    public function __construct(private Invitations $invitations)
    {
    }

    /** Says what an invitation is for. */
    #[Route('', methods: ['GET'])]
    public function show(string $token): InvitationView
    {
        return $this->invitations->show($token);
    }

    /** Accepts an invitation. */
    #[Route('', methods: ['POST'])]
    public function accept(string $token, #[Body] AcceptInvitation $request): void
    {
        $this->invitations->accept($token, $request);
    }
}
