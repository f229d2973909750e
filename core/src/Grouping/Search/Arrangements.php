<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

/**
 * Lists all arrangements of one round that keep the rules. Groups that no rule names are alike: arrangements that
 * differ only in their numbers are listed once.
 */
final class Arrangements
{
    /** @var list<list<list<int>>> */
    private array $all = [];

    /** @var array<int, true> */
    private readonly array $named;

    public function __construct(private readonly Setting $setting, private readonly Musts $musts)
    {
        $this->named = $musts->namedGroups();
    }

    /**
     * @return list<list<list<int>>>|null null where there are more than $most
     */
    public function all(int $most): ?array
    {
        $this->all = [];
        if ($this->musts->impossible) {
            return [];
        }

        return $this->place(0, array_fill(0, $this->setting->groups(), []), $most) ? $this->all : null;
    }

    /**
     * @param list<list<int>> $groups
     */
    private function place(int $unit, array $groups, int $most): bool
    {
        if (!isset($this->musts->units[$unit])) {
            $this->all[] = $groups;

            return \count($this->all) <= $most;
        }
        $emptySeen = false;
        foreach ($groups as $g => $group) {
            if ([] === $group && !isset($this->named[$g])) {
                if ($emptySeen) {
                    continue;
                }
                $emptySeen = true;
            }
            if (!$this->musts->admits($unit, $g) || $this->meetsSomebody($unit, $group)) {
                continue;
            }
            $next = $groups;
            $next[$g] = [...$group, ...$this->musts->units[$unit]];
            if ($this->fits($next) && !$this->place($unit + 1, $next, $most)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param list<int> $group
     */
    private function meetsSomebody(int $unit, array $group): bool
    {
        foreach ($this->musts->units[$unit] as $student) {
            foreach ($group as $other) {
                if (
                    [] !==
                    array_intersect_key($this->musts->apartOf[$student] ?? [], $this->musts->apartOf[$other] ?? [])
                ) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param list<list<int>> $groups
     */
    private function fits(array $groups): bool
    {
        $sizes = array_map('count', $groups);
        rsort($sizes);
        foreach ($sizes as $rank => $size) {
            if ($size > $this->setting->sizes[$rank]) {
                return false;
            }
        }

        return true;
    }
}
