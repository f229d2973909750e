<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard\File;

use FreshHuddle\App\Materials\Job\JobView;

/**
 * What came of a file that was brought in: an original, or a job that makes it where there are many pictures in it.
 */
final readonly class Imported
{
    /**
     * @param string|null $original its id
     */
    public function __construct(public ?string $original, public ?JobView $job)
    {
    }
}
