<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Margin;

use FreshHuddle\App\Http\Body\Id;
use FreshHuddle\Core\Visible;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: a note in the margin.
 */
final readonly class WriteNote
{
    /**
     * @param string      $slot  the place to stand beside
     * @param string|null $owner the student whose answer it is about, where everybody has their own
     */
    public function __construct(
        #[Assert\Length(max: 40)]
        public string $slot,
        #[Assert\NotBlank(message: 'materials.note_needs_words', normalizer: [Visible::class, 'or'])]
        #[Assert\Length(max: MarginNote::LONGEST, maxMessage: 'materials.note_at_most_600_characters'),]
        public string $text,
        #[Id]
        public ?string $owner = null,
    ) {
    }
}
