<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Caption;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: what is said in a room, in words.
 */
final readonly class SayCaption
{
    /** Characters. */
    public const MOST = 300;

    public function __construct(
        #[Assert\NotBlank(message: 'live.empty_notice', normalizer: 'trim'),
            Assert\Length(max: self::MOST, maxMessage: 'live.long_caption'),]
        public string $text,
    ) {
    }
}
