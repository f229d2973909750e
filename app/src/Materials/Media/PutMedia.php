<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: a picture or a recording, as base64.
 */
final readonly class PutMedia
{
    /**
     * @param string $content the bytes of the file, in base64
     */
    public function __construct(
        #[Assert\NotBlank(message: 'materials.file_is_empty'),
            Assert\Length(max: 6_700_000, maxMessage: 'materials.file_is_too_long'),]
        public string $content,
    ) {
    }
}
