<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

/**
 * Something a class list says of its students.
 */
final readonly class AttributeView
{
    /**
     * @param bool         $numeric every value is a number
     * @param list<string> $values  those that come up, sorted
     */
    public function __construct(public string $name, public bool $numeric, public array $values)
    {
    }

    /**
     * @param list<StudentView> $students
     *
     * @return list<self> in the order they come up
     */
    public static function of(array $students): array
    {
        $values = [];
        foreach ($students as $student) {
            foreach ($student->attributes as $attribute) {
                $values[$attribute->name][$attribute->value] = true;
            }
        }
        $views = [];
        foreach ($values as $name => $seen) {
            $seen = array_map(strval(...), array_keys($seen));
            natcasesort($seen);
            $numeric = [] === array_filter($seen, static fn (string $value): bool => !is_numeric($value));
            $views[] = new self((string) $name, $numeric, array_values($seen));
        }

        return $views;
    }
}
