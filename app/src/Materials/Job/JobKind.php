<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Job;

/**
 * Work that takes too long for a request. Another kind is a case here and a handler (see JobHandler).
 */
enum JobKind: string
{
    /** Slips of many students as a PDF. */
    case Slips = 'slips';
    /** An original with many pictures, out of an archive. */
    case Import = 'import';
}
