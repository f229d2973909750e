<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Token;

use FreshHuddle\App\Http\Body\Body;
use Symfony\Component\Routing\Attribute\Route;

/**
 * For who cannot sign in.
 */
#[Route('/api/account')]
final readonly class ForgottenController
{
    public function __construct(private ForgottenPasswords $forgotten)
    {
    }

    /** Emails a link for a new password if there is such an account; the answer is the same if there is none. */
    #[Route('/forgotten', methods: ['POST'])]
    public function ask(#[Body] ForgotPassword $request): void
    {
        $this->forgotten->request($request->email);
    }

    /** Sets a new password with the link from the email. */
    #[Route('/password', methods: ['POST'])]
    public function set(#[Body] NewPassword $request): void
    {
        $this->forgotten->set($request);
    }
}
