<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Exception;

use FreshHuddle\App\Refusal\Refusal;

final class LessonRefused extends Refusal
{
}
