<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Goal;

use FreshHuddle\Core\Grouping\Explain\Degree;
use FreshHuddle\Core\Grouping\Explain\DegreeUnit;
use FreshHuddle\Core\Grouping\Explain\NameList;
use FreshHuddle\Core\Grouping\Format\ConditionReader;
use FreshHuddle\Core\Grouping\Format\GoalContext;
use FreshHuddle\Core\Grouping\Format\Node;
use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Grouping\Search\Tally;
use FreshHuddle\Core\Message;

/**
 * At least so many with a tag in every group.
 */
final readonly class EachHas implements Goal
{
    use GoalOfGroups;

    /**
     * @param int $atLeast 1 or more
     */
    public function __construct(public string $tag, public int $atLeast = 1, private float $weight = 1.0)
    {
    }

    public function groupCost(Setting $setting, array $group): float
    {
        $tagged = array_filter($group, fn (int $i): bool => \in_array($this->tag, $setting->students[$i]->tags, true));

        return (float) max(0, $this->atLeast - \count($tagged));
    }

    /**
     * The share of groups that have it: full where each does.
     */
    public function degree(Setting $setting, array $groups): Degree
    {
        $groups = array_filter($groups);
        $with = array_filter($groups, fn (array $group): bool => 0.0 === $this->groupCost($setting, $group));

        return Degree::counted(DegreeUnit::Groups, \count($with), \count($groups));
    }

    /**
     * As if those with the tag could be handed out freely.
     */
    private function roundBound(Setting $setting): float
    {
        $wanted = $this->atLeast * $setting->groups();
        $room = array_sum(array_map(fn (int $size): int => min($size, $this->atLeast), $setting->sizes));

        return (float) ($wanted - min(\count($this->tagged($setting)), $room));
    }

    private function tally(Setting $setting): Tally
    {
        return new TagTally($this->tagged($setting), $this->atLeast);
    }

    /**
     * @return array<int, true>
     */
    private function tagged(Setting $setting): array
    {
        $tagged = [];
        foreach ($setting->students as $i => $student) {
            if (\in_array($this->tag, $student->tags, true)) {
                $tagged[$i] = true;
            }
        }

        return $tagged;
    }

    public function obstacle(Setting $setting, array $groups, NameList $named): ?Message
    {
        $groups = array_filter($groups);
        $lacking = array_keys(
            array_filter($groups, fn (array $group): bool => $this->groupCost($setting, $group) > 0.0),
        );
        $with = \count($this->tagged($setting));

        return [] === $lacking
            ? null
            : new Message('grouping.obstacle.each_has', [
                'groups' => NameList::some(array_map($named->group(...), $lacking)),
                'with' => $with,
                'enough' => $with < $this->atLeast * \count($groups) ? 'no' : 'yes',
            ]);
    }

    public function reason(Setting $setting, int $student, array $group, NameList $named): ?Message
    {
        $tagged = $this->tagged($setting);
        $also = array_filter($group, static fn (int $i): bool => $i !== $student && isset($tagged[$i]));

        return isset($tagged[$student]) && [] === $also
            ? new Message('grouping.reason.each_has', ['tag' => $this->tag])
            : null;
    }

    public static function read(Node $item, GoalContext $reading, float $weight): self
    {
        return new self(
            $reading->name($item->child('tag')),
            $item->child('atLeast')->int(1, ConditionReader::MAX_STUDENTS, 1),
            $weight,
        );
    }
}
