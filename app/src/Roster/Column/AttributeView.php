<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Column;

use FreshHuddle\App\Roster\StudentView;

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
     * What a class is mixed by where nobody has said: its level, or else the first thing in numbers that is not the
     * same for all.
     *
     * @param list<StudentView> $students
     *
     * @return string|null its name; null where there is nothing of the kind
     */
    public static function toMixBy(array $students): ?string
    {
        $attributes = array_filter(
            self::fromStudents($students),
            static fn (self $attribute): bool => \count($attribute->values) > 1,
        );
        foreach ($attributes as $attribute) {
            if (1 === preg_match('/\blevel\b/i', $attribute->name)) {
                return $attribute->name;
            }
        }

        return array_values(array_filter($attributes, static fn (self $attribute): bool => $attribute->numeric))[0]
            ->name ?? null;
    }

    /**
     * @param list<StudentView> $students
     *
     * @return list<self> in the order they come up
     */
    public static function fromStudents(array $students): array
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
