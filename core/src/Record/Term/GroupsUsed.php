<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Term;

/**
 * Groups that have been sent out once, as *Make groups* counts them.
 */
final readonly class GroupsUsed
{
    /**
     * @param list<list<string>>          $groups students of each
     * @param list<array{string, string}> $roles  student, role
     */
    public function __construct(public array $groups, public array $roles)
    {
    }
}
