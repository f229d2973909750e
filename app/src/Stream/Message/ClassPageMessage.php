<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream\Message;

/**
 * A message that pages on the wall hear.
 */
interface ClassPageMessage extends StreamMessage
{
}
