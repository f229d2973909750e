<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream\Message;

/**
 * A message that students' pages hear.
 */
interface StudentMessage extends StreamMessage
{
}
