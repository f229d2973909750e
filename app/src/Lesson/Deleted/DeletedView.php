<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Deleted;

/**
 * A class or a lesson that was deleted and can be brought back.
 */
final readonly class DeletedView
{
    /**
     * @param string $className of a lesson: its class; of a class: its own name
     * @param int    $at        when it was deleted, milliseconds since 1970
     */
    public function __construct(
        public DeletedKind $kind,
        public string $id,
        public string $name,
        public string $className,
        public int $at,
    ) {
    }
}
