<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut\Copy;

use FreshHuddle\Core\Materials\CopyChange;

/**
 * What bringing copies up to date would do, before it is done.
 */
final readonly class ChangeView
{
    /**
     * @param string $title  of the original
     * @param string $what   the page's title or the block's text
     * @param int    $copies to how many copies it is done
     */
    public function __construct(
        public string $title,
        public CopyChange $change,
        public string $what,
        public int $copies,
    ) {
    }
}
