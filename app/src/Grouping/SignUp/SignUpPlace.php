<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\SignUp;

use FreshHuddle\App\Roster\Device\StudentUser;

/**
 * Which grouping a student could take a seat in. Lessons know; a sign-up only asks.
 */
interface SignUpPlace
{
    /**
     * @return string|null the grouping's id; null where there is none, or once its groups have been shown: nobody
     *                     changes
     *                     seats then
     */
    public function groupingFor(StudentUser $student): ?string;
}
