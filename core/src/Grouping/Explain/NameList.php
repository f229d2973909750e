<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Explain;

use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Message;

/**
 * What groups and students are called when something is said of them.
 */
final readonly class NameList
{
    /** How many are named before it says “and 3 more”. */
    private const NAMED = 3;

    /**
     * @param list<string> $groups names; a group beyond them goes by its number
     */
    public function __construct(private Setting $setting, private array $groups = [])
    {
    }

    /**
     * @param int $number from 0
     */
    public function group(int $number): string
    {
        return $this->groups[$number] ?? (string) ($number + 1);
    }

    public function student(int $number): string
    {
        return $this->setting->students[$number]->label();
    }

    /**
     * @param array<int> $students
     *
     * @return list<string>
     */
    public function students(array $students): array
    {
        return array_map($this->student(...), array_values($students));
    }

    public function id(string $id): string
    {
        $number = $this->setting->index[$id] ?? null;

        return null === $number ? $id : $this->student($number);
    }

    /**
     * “Ada, Ben, Chi and 4 more”.
     *
     * @param list<string|Message> $names at least one
     */
    public static function some(array $names): Message
    {
        return new Message('grouping.some', [
            'names' => \array_slice($names, 0, self::NAMED),
            'more' => max(0, \count($names) - self::NAMED),
        ]);
    }

    /**
     * The groups that cost something, the costliest first.
     *
     * @param array<int, float> $costs group from 0 => cost
     *
     * @return list<string>
     */
    public function costliest(array $costs): array
    {
        $costs = array_filter($costs, static fn (float $cost): bool => $cost > 1e-9);
        arsort($costs);

        return array_map($this->group(...), array_keys($costs));
    }
}
