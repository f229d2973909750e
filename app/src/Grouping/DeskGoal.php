<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use FreshHuddle\App\Http\Problem;
use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Goal\Alike;
use FreshHuddle\Core\Grouping\Goal\EachHas;
use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Goal\NotAlone;
use FreshHuddle\Core\Grouping\Goal\Spread;
use FreshHuddle\Core\Grouping\Goal\Wishes;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * A should, as it is set at the desk. What it weighs follows from its place in the row.
 */
final readonly class DeskGoal
{
    /**
     * @param string|null $attribute for spread, alike and notAlone
     * @param string|null $tag       for eachHas
     */
    public function __construct(
        public DeskGoalKind $kind,
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
     * @throws Problem 422 if it does not say what it is about
     */
    public function goal(float $weight, array $wishes): Goal
    {
        $attribute = fn (): string => $this->attribute ?? throw new Problem(422, 'Say what this goal is about.', 'settings.goals');

        return match ($this->kind) {
            DeskGoalKind::Spread => new Spread($attribute(), $weight),
            DeskGoalKind::Alike => new Alike($attribute(), $weight),
            DeskGoalKind::NotAlone => new NotAlone($attribute(), $weight),
            DeskGoalKind::EachHas => new EachHas($this->tag ?? throw new Problem(422, 'Say which tag.', 'settings.goals'), $this->atLeast, $weight),
            DeskGoalKind::NewPartners => new NewPartners($weight),
            DeskGoalKind::Wishes => new Wishes($wishes, $weight),
        };
    }
}
