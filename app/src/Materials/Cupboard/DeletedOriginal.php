<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

/**
 * An original that was deleted and can be brought back.
 */
final readonly class DeletedOriginal
{
    /**
     * @param int $at when it was deleted, milliseconds since 1970
     */
    public function __construct(public string $id, public string $title, public int $at)
    {
    }
}
