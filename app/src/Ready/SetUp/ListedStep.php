<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp;

use FreshHuddle\Core\Ready\SetUp\StepKind;

/**
 * One step, in words.
 */
final readonly class ListedStep
{
    /**
     * @param string|null $groupId null: the class
     * @param string|null $loses   what would be lost by it
     * @param int|null    $round   number of the round it is done for; null: only one is set up
     * @param string|null $group   name of the group, where several rounds are set up
     */
    public function __construct(
        public string $key,
        public StepKind $kind,
        public ?string $groupId,
        public string $says,
        public string $because,
        public ?string $loses,
        public ?int $round,
        public ?string $group,
    ) {
    }
}
