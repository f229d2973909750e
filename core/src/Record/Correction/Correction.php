<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Correction;

/**
 * A figure that somebody of the staff has corrected. What was computed stays beside it.
 */
final readonly class Correction
{
    /**
     * @param int    $value 0 to `Figure::most()`
     * @param string $by    id of a teacher
     * @param int    $at    milliseconds since 1970
     */
    public function __construct(
        public string $student,
        public Figure $figure,
        public int $value,
        public string $by,
        public int $at,
    ) {
    }
}
