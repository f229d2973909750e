<?php

declare(strict_types=1);

namespace FreshHuddle\App\Worker;

/**
 * It is of no use to try once more; why, in words for the teacher.
 */
final class GaveUp extends \RuntimeException
{
}
