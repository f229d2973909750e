<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live;

use FreshHuddle\Core\Rooms\MainSession;

/**
 * What is known of one student, each with its moment (milliseconds since 1970), null where there is nothing.
 */
final readonly class Evidence
{
    public const MAIN = MainSession::PLACE;

    /**
     * @param string|null $servicePlace where the meeting service last saw the student come in: `main` or a group's id;
     *     null after it saw them go
     * @param int|null    $serviceAt    when it saw that
     * @param string|null $linkPlace    whose room link was followed last
     * @param int|null    $linkAt       when
     * @param int|null    $pageAt       last sign of life of the student's page
     */
    public function __construct(
        public ?string $servicePlace = null,
        public ?int $serviceAt = null,
        public ?string $linkPlace = null,
        public ?int $linkAt = null,
        public ?int $pageAt = null,
    ) {
    }

    public function lastSign(): ?int
    {
        $signs = array_filter([$this->serviceAt, $this->linkAt, $this->pageAt], \is_int(...));

        return [] === $signs ? null : max($signs);
    }
}
