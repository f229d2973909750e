<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\SignUp;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Grouping\Desk\DeskView;
use FreshHuddle\App\Grouping\Desk\DeskViews;
use FreshHuddle\App\Grouping\GroupingAccess;
use FreshHuddle\App\Http\Body\Body;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * Lets students choose their groups, and ends it.
 */
#[Route('/api/staff/groupings/{id}', requirements: ['id' => Requirement::UUID])]
final readonly class SignUpDeskController
{
    public function __construct(
        private SignUps $signUps,
        private SignUpClose $signUpClose,
        private DeskViews $views,
        private GroupingAccess $groupingAccess,
    ) {
    }

    /** Lets students choose their group themselves. */
    #[Route('/sign-up', methods: ['POST'])]
    public function open(#[CurrentUser] Teacher $teacher, string $id, #[Body] OpenSignUp $request): DeskView
    {
        $grouping = $this->groupingAccess->grouping($teacher, $id);
        $this->signUps->open($grouping, $request);

        return $this->views->view($grouping);
    }

    /** Closes the sign-up and gives a seat to everyone without one. */
    #[Route('/sign-up', methods: ['DELETE'])]
    public function close(#[CurrentUser] Teacher $teacher, string $id): DeskView
    {
        $grouping = $this->groupingAccess->grouping($teacher, $id);
        $this->signUpClose->andSeatTheRest($grouping);

        return $this->views->view($grouping);
    }
}
