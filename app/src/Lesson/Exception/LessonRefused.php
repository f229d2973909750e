<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Exception;

use FreshHuddle\App\Refusal\Refusal;

/**
 * What this area refuses.
 */
final class LessonRefused extends Refusal
{
}
