<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\SignUp;

/**
 * While students take seats themselves.
 */
final readonly class SignUpState
{
    /**
     * @param int      $seats    at each table
     * @param int|null $closesAt milliseconds since 1970; null: when the teacher says
     */
    public function __construct(public int $seats, public ?int $closesAt)
    {
    }
}
