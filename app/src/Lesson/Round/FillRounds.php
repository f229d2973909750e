<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Round;

use FreshHuddle\App\Grouping\Proposal\FillWay;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * Several rounds in one press.
 */
final readonly class FillRounds
{
    /**
     * @param int          $basedOn the step of the running order
     * @param int          $rounds  a split and a jigsaw always have two
     * @param int          $size    in each group, of the first round
     * @param list<string> $topics  for a jigsaw
     */
    public function __construct(
        public int $basedOn,
        public FillWay $way,
        #[Assert\Range(notInRangeMessage: 'grouping.between_2_and_12_rounds', min: 2, max: 12),]
        public int $rounds = 2,
        #[Assert\Range(notInRangeMessage: 'lesson.between_2_and_20_each_group', min: 2, max: 20),]
        public int $size = 4,
        #[Assert\Count(max: 20, maxMessage: 'grouping.at_most_20_topics'),
            Assert\All([new Assert\NotBlank(normalizer: 'trim'), new Assert\Length(max: 60)]),
            Assert\Unique(message: 'grouping.each_topic_once'),]
        public array $topics = [],
    ) {
    }
}
