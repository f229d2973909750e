<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\Core\Grouping\Exception\UnusableProblem;
use FreshHuddle\Core\Grouping\Format\Node;
use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\GoalKind;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * A should, as it is set at the desk: the fields a goal has in a problem file. What it weighs follows from its place in
 * the row.
 */
final readonly class DeskGoal
{
    /**
     * @param string|null $attribute for spread, alike and notAlone
     * @param string|null $tag       for eachHas
     */
    public function __construct(
        public GoalKind $kind,
        #[Assert\Length(max: 60)]
        public ?string $attribute = null,
        #[Assert\Length(max: 60)]
        public ?string $tag = null,
        #[Assert\Range(min: 1, max: 20)]
        public int $atLeast = 1,
    ) {
    }

    /**
     * @param array<string, list<string>> $wishes of the class, student id => ids
     *
     * @throws GroupingRefused if it does not say what it is about
     */
    public function goal(float $weight, array $wishes): Goal
    {
        try {
            return $this->kind->read(new Node((object) get_object_vars($this)), new DeskGoals($wishes), $weight);
        } catch (UnusableProblem) {
            throw GroupingRefused::unusable('grouping.goal_about', 'settings.goals');
        }
    }
}
