<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Points;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: states how points come about in a class.
 */
final readonly class StatePoints
{
    /**
     * @param list<StatedPart> $parts
     */
    public function __construct(
        #[Assert\Valid, Assert\Count(max: 20)]
        public array $parts,
    ) {
    }
}
