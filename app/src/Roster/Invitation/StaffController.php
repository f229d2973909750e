<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Invitation;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Roster\ClassAccess;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * Who helps in a class.
 */
#[Route('/api/staff/classes/{id}/staff', requirements: ['id' => Requirement::UUID])]
final readonly class StaffController
{
    public function __construct(private Invitations $invitations, private ClassAccess $classAccess)
    {
    }

    /**
     * Lists who teaches or assists in a class.
     *
     * @return list<StaffView>
     */
    #[Route('', methods: ['GET'])]
    public function list(#[CurrentUser] Teacher $teacher, string $id): array
    {
        return $this->invitations->forClass($this->classAccess->schoolClass($teacher, $id));
    }

    /**
     * Invites an assistant or a co-teacher.
     *
     * @return list<StaffView>
     */
    #[Route('', methods: ['POST'])]
    public function invite(#[CurrentUser] Teacher $teacher, string $id, #[Body] Invite $request): array
    {
        $class = $this->classAccess->schoolClass($teacher, $id);
        $this->invitations->invite($teacher, $class, $request);

        return $this->invitations->forClass($class);
    }

    /**
     * Ends somebody's access to a class, or withdraws their invitation.
     *
     * @return list<StaffView>
     */
    #[Route('/{who}', requirements: ['who' => '[^/]{1,180}'], methods: ['DELETE'])]
    public function remove(#[CurrentUser] Teacher $teacher, string $id, string $who): array
    {
        $class = $this->classAccess->schoolClass($teacher, $id);
        $this->invitations->remove($class, $who);

        return $this->invitations->forClass($class);
    }
}
