<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun;

/**
 * Something a student does at a moment.
 */
final readonly class Act
{
    /**
     * @param string      $text  what is typed; '' where nothing is
     * @param string|null $place where they go: `main`, or the id of a group or a side room
     * @param string|null $slot  where they write
     */
    public function __construct(
        public ActKind $kind,
        public string $text = '',
        public ?string $place = null,
        public ?string $slot = null,
    ) {
    }
}
