<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard\File;

use FreshHuddle\App\Http\File\Package;
use FreshHuddle\App\Materials\Cupboard\Markdown;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: a worksheet from a text.
 */
final readonly class ImportOriginal
{
    /**
     * @param string      $name    of the file
     * @param string      $text    what is in it: Markdown, or JSON as it is exported
     * @param string|null $package in place of a text: the bytes of an exported archive with pictures, in base64
     */
    public function __construct(
        #[Assert\Length(max: 300, maxMessage: 'materials.at_most_300_characters')]
        public string $name,
        #[Assert\Length(max: 400_000, maxMessage: 'materials.file_is_too_long')]
        public string $text = '',
        #[Assert\Length(max: Package::MOST_BASE64, maxMessage: 'http.package_at_most_30_mb'),]
        public ?string $package = null,
    ) {
    }
}
