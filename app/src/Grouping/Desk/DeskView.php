<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use FreshHuddle\App\Grouping\Floor\FloorView;
use FreshHuddle\App\Grouping\History\OtherUse;
use FreshHuddle\App\Grouping\History\UseView;
use FreshHuddle\App\Grouping\Proposal\Why\StandingsView;
use FreshHuddle\App\Grouping\Seat\NumberPlan;
use FreshHuddle\App\Grouping\SignUp\SignUpState;
use FreshHuddle\App\Grouping\Variant\VariantView;
use FreshHuddle\App\Roster\Column\AttributeView;
use FreshHuddle\App\Roster\Rule\RuleView;

/**
 * The grouping desk, at one moment.
 */
final readonly class DeskView
{
    /**
     * @param list<DeskStudent>   $students   everybody who can be seated, absent ones marked
     * @param list<AttributeView> $attributes
     * @param list<string>        $tags
     * @param list<RuleView>      $rules
     * @param list<VariantView>   $variants
     * @param list<UseView>       $uses       groupings this class has sat in, the latest last
     * @param list<OtherUse>      $usedBy     lessons that have sent these groups out
     * @param list<string>        $groupNames what groups of this class are called
     * @param string|null         $lessonId   a lesson whose round uses it
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $classId,
        public string $className,
        public string $doorWord,
        public ?string $lessonId,
        public FloorView $floor,
        public array $students,
        public array $attributes,
        public array $tags,
        public array $rules,
        public DeskSettings $settings,
        public NumberPlan $numbers,
        public StandingsView $standings,
        public array $variants,
        public array $uses,
        public array $usedBy,
        public array $groupNames,
        public ?SignUpState $signUp,
        public int $serverNow,
    ) {
    }
}
