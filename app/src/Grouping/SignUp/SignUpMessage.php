<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\SignUp;

use FreshHuddle\App\Stream\Message\StudentMessage;

/**
 * Seats were taken while students choose their groups.
 */
final readonly class SignUpMessage implements StudentMessage
{
    /**
     * @param list<TakenSeats> $taken for each group
     */
    public function __construct(public array $taken)
    {
    }

    public static function kind(): string
    {
        return 'signUp';
    }
}
