<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Order;

use FreshHuddle\App\Http\Body\Id;
use FreshHuddle\App\Lesson\Notice\PrepareNotice;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * What is null stays as it is. What only a round has is passed over where the segment is none.
 */
final readonly class EditSegment
{
    /**
     * @param list<PrepareNotice>|null $notices all that is said at set moments of the round
     */
    public function __construct(
        #[Assert\Length(max: 2000, maxMessage: 'lesson.instructions_have_at_most_2000_characters'),]
        public ?string $instructions = null,
        #[Assert\Range(notInRangeMessage: 'grouping.between_1_and_600_minutes', min: 1, max: 600),]
        public ?int $minutes = null,
        #[Assert\Range(notInRangeMessage: 'lesson.between_0_and_120_seconds', min: 0, max: 120),]
        public ?int $lookSeconds = null,
        #[Assert\Range(notInRangeMessage: 'lesson.between_0_and_120_seconds', min: 0, max: 120),]
        public ?int $callBackSeconds = null,
        public ?bool $autoCallBack = null,
        #[Id]
        public ?string $groupingId = null,
        #[Assert\Valid, Assert\Count(max: 12, maxMessage: 'lesson.at_most_12_notices')]
        public ?array $notices = null,
    ) {
    }
}
