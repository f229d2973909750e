<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Staff;

/**
 * Marks what assistants may do too: it happens live. What is only read they may read in any case; all else is for the
 * teachers of the class.
 */
#[\Attribute(\Attribute::TARGET_METHOD)]
final readonly class ForAssistants
{
}
