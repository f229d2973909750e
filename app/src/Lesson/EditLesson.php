<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson;

use FreshHuddle\App\Http\Body\Moment;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * What is null stays as it is.
 */
final readonly class EditLesson
{
    /**
     * @param int|null $startsAt milliseconds since 1970
     */
    public function __construct(
        #[Assert\NotBlank(message: 'A lesson needs a title.', allowNull: true, normalizer: 'trim'), Assert\Length(max: 120, maxMessage: 'A title has at most 120 signs.')]
        public ?string $title = null,
        #[Assert\Range(notInRangeMessage: 'Between 5 and 600 minutes, please.', min: 5, max: 600)]
        public ?int $minutes = null,
        #[Moment]
        public ?int $startsAt = null,
    ) {
    }
}
