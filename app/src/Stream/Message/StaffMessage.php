<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream\Message;

/**
 * A message that teachers' pages hear.
 */
interface StaffMessage extends StreamMessage
{
}
