<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\ClassFile;

use FreshHuddle\App\Http\File\Package;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: a class moves in from a file.
 */
final readonly class OpenClassFile
{
    /**
     * @param string $package the bytes of the file, in base64
     */
    public function __construct(
        #[Assert\Length(max: Package::MOST_BASE64, maxMessage: 'http.package_at_most_30_mb')]
        public string $package,
    ) {
    }
}
