<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\LessonFile;

use FreshHuddle\App\Http\Body\Moment;
use FreshHuddle\App\Http\File\Package;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: opens a lesson that was saved as a file.
 */
final readonly class OpenLessonFile
{
    /**
     * @param string   $package  the bytes of the file, in base64
     * @param int|null $startsAt when this class has it; milliseconds since 1970; null: in a moment
     */
    public function __construct(
        #[Assert\Length(max: Package::MOST_BASE64, maxMessage: 'http.package_at_most_30_mb')]
        public string $package,
        #[Moment]
        public ?int $startsAt = null,
    ) {
    }
}
