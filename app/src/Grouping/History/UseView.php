<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\History;

/**
 * A lesson in which these groups were used.
 */
final readonly class UseView
{
    /**
     * @param int $at milliseconds since 1970
     */
    public function __construct(public string $name, public string $lesson, public int $at)
    {
    }
}
