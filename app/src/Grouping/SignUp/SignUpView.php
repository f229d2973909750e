<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\SignUp;

/**
 * Seats a student may take. How many are taken, never by whom.
 */
final readonly class SignUpView
{
    /**
     * @param list<SignUpTable> $tables
     * @param int|null          $closesAt milliseconds since 1970
     */
    public function __construct(public array $tables, public ?int $closesAt)
    {
    }
}
