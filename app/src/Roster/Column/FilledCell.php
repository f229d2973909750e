<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Column;

use FreshHuddle\App\Http\Body\Id;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * A value for one student, where many are written at once.
 */
final readonly class FilledCell
{
    public function __construct(
        #[Id]
        public string $student,
        #[Assert\Length(max: 120, maxMessage: 'roster.at_most_120_characters')]
        public string $value,
    ) {
    }
}
