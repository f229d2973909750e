<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: carry out the steps that were shown.
 */
final readonly class CarryOut
{
    /**
     * @param string       $digest of the list that was shown
     * @param list<string> $sure   keys of steps that lose something, and are to be done all the same
     */
    public function __construct(
        #[Assert\Regex('/^[0-9a-f]{32}$/D', message: 'ready.no_list')]
        public string $digest,
        #[Assert\Count(max: 500), Assert\All([new Assert\Length(max: 200)])]
        public array $sure = [],
    ) {
    }
}
