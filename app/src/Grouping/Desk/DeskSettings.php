<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Shape;
use FreshHuddle\Core\Grouping\Shape\Groups;
use FreshHuddle\Core\Grouping\Shape\Remainder;
use FreshHuddle\Core\Grouping\Shape\Size;
use FreshHuddle\Core\Grouping\Shape\Sizes;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * How the desk is set.
 */
final readonly class DeskSettings
{
    /** How much more the first goal weighs than the second, and so on. */
    private const STEP = 3.0;

    /**
     * @param list<int>      $sizes  for given sizes
     * @param int            $rounds for a rotation
     * @param list<DeskGoal> $goals  the most important first
     * @param list<string>   $topics for a jigsaw
     */
    public function __construct(
        public DeskMethod $method = DeskMethod::Deal,
        public ShapeKind $shape = ShapeKind::Groups,
        #[Assert\Range(notInRangeMessage: 'grouping.between_1_and_400_groups', min: 1, max: 400),]
        public int $groups = 6,
        #[Assert\Range(notInRangeMessage: 'grouping.between_1_and_1200_group', min: 1, max: 1_200),]
        public int $size = 4,
        public Remainder $remainder = Remainder::Spread,
        #[Assert\Count(max: 400),
            Assert\All([new Assert\Range(notInRangeMessage: 'grouping.sizes_from_1_to_1200', min: 1, max: 1_200)]),]
        public array $sizes = [],
        #[Assert\Range(notInRangeMessage: 'grouping.between_2_and_12_rounds', min: 2, max: 12),]
        public int $rounds = 3,
        #[Assert\Valid, Assert\Count(max: 12, maxMessage: 'grouping.at_most_12_goals')]
        public array $goals = [],
        #[Assert\Count(max: 20, maxMessage: 'grouping.at_most_20_topics'),
            Assert\All([new Assert\NotBlank(normalizer: 'trim'), new Assert\Length(max: 60)]),
            Assert\Unique(message: 'grouping.each_topic_once'),]
        public array $topics = [],
    ) {
    }

    /**
     * @throws ImpossibleShape
     */
    public function shape(): Shape
    {
        return match ($this->shape) {
            ShapeKind::Groups => new Groups($this->groups),
            ShapeKind::Size => new Size($this->size, $this->remainder),
            ShapeKind::Sizes => [] === $this->sizes ? throw ImpossibleShape::noGroup() : new Sizes($this->sizes),
        };
    }

    /**
     * @param array<string, list<string>> $wishes of the class, student id => ids
     *
     * @return list<Goal> weighted by their order
     */
    public function goals(array $wishes): array
    {
        $last = \count($this->goals) - 1;
        $goals = [];
        foreach ($this->goals as $rank => $goal) {
            $goals[] = $goal->goal(self::STEP ** ($last - $rank), $wishes);
        }

        return $goals;
    }

    public function rounds(): int
    {
        return DeskMethod::Rotation === $this->method ? $this->rounds : 1;
    }
}
