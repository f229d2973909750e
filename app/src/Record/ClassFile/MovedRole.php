<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\ClassFile;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * Who had which role.
 */
final readonly class MovedRole
{
    public function __construct(
        #[Assert\Length(max: 40)]
        public string $student,
        #[Assert\Length(max: 40)]
        public string $role,
    ) {
    }
}
