<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal;

use FreshHuddle\App\Grouping\Desk\DeskGoal;
use FreshHuddle\App\Grouping\Desk\DeskSettings;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\History\GroupingUsage;
use FreshHuddle\App\Grouping\History\GroupingUse;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\App\Roster\Rule\ClassRules;
use FreshHuddle\App\Roster\Rule\RuleKind;
use FreshHuddle\App\Roster\Rule\RuleView;
use FreshHuddle\App\Roster\Rule\Wishes;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\GoalKind;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\Together;
use FreshHuddle\Core\Grouping\Student;

/**
 * A class in the terms of the computation: students, rules, goals and what was before.
 */
final readonly class ClassParts
{
    public function __construct(
        private ClassReader $classes,
        private ClassRules $rules,
        private Wishes $wishes,
        private GroupingUsage $usage,
    ) {
    }

    /**
     * @return list<StudentView> those who can be seated at all; guests only in groups of their lesson
     */
    public function seatable(Grouping $grouping): array
    {
        return array_values(
            array_filter(
                $this->classes->students($grouping->class->id),
                fn (StudentView $student): bool => $student->seatable
                    && (!$student->guest
                        || null === $student->guestOf
                        || $this->usage->isUsedIn($grouping->id, $student->guestOf)),
            ),
        );
    }

    /**
     * @return list<StudentView> those who can be seated today
     */
    public function present(Grouping $grouping): array
    {
        return array_values(
            array_filter($this->seatable($grouping), static fn (StudentView $student): bool => !$student->absent),
        );
    }

    /**
     * @param list<StudentView> $students
     *
     * @return list<Student>
     */
    public static function students(array $students): array
    {
        return array_map(self::student(...), $students);
    }

    /**
     * @param list<StudentView> $students
     *
     * @return list<string>
     */
    public static function ids(array $students): array
    {
        return array_map(static fn (StudentView $student): string => $student->id, $students);
    }

    /**
     * @return list<RuleView> the musts of the class
     */
    public function rules(Grouping $grouping): array
    {
        return $this->rules->musts($grouping->class->id);
    }

    /**
     * @param list<RuleView>    $rules
     * @param list<StudentView> $present
     *
     * @return list<Rule> in the order of the rules; one about fewer than two who are here is about nobody
     */
    public static function musts(array $rules, array $present): array
    {
        $ids = array_fill_keys(self::ids($present), true);

        return array_values(
            array_filter(array_map(static fn (RuleView $rule): ?Rule => self::must($rule)->among($ids), $rules)),
        );
    }

    public static function must(RuleView $rule): Apart|Together
    {
        return RuleKind::Apart === $rule->kind ? new Apart($rule->students) : new Together($rule->students);
    }

    /**
     * The goals as they are set; the class's wishes are fetched only where they count.
     *
     * @return list<Goal> weighted by their order
     */
    public function goals(Grouping $grouping, DeskSettings $settings): array
    {
        $wishesCount =
            [] !==
            array_filter($settings->goals, static fn (DeskGoal $goal): bool => GoalKind::Wishes === $goal->kind);

        return $settings->goals($wishesCount ? $this->wishes->forClass($grouping->class->id) : []);
    }

    /**
     * @return list<list<list<string>>> who has sat with whom: groups of ids, the latest last
     */
    public function history(Grouping $grouping): array
    {
        return array_map(
            static fn (GroupingUse $use): array => $use->groups,
            $this->usage->uses($grouping->class->id),
        );
    }

    private static function student(StudentView $student): Student
    {
        $attributes = [];
        foreach ($student->attributes as $attribute) {
            $attributes[$attribute->name] = $attribute->typed();
        }

        return new Student($student->id, $student->name, $student->table, $attributes, $student->tags);
    }
}
