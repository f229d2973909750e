<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

/**
 * Variants by what the class list says of students: a simpler text for level 1.
 */
final readonly class VariantsBy
{
    /**
     * @param string                   $attribute what is asked of each student
     * @param array<array-key, string> $variants a variant's id by a value of it, as text; '' for the plain form. A
     *     value that is not among them says nothing
     */
    public function __construct(public string $attribute, public array $variants)
    {
    }

    /**
     * The variant of one student, or of a group that has a copy together: there everybody must have the same, for a
     * sheet that is too easy for some is of no use to them.
     *
     * @param list<string>                                      $students ids
     * @param array<string, array<array-key, int|float|string>> $attributes values by student and attribute
     *
     * @return string|null its id; null where nothing is said of it, or not the same of all
     *
     * Complexity: O(students)
     */
    public function variantFor(array $students, array $attributes): ?string
    {
        $found = null;
        foreach ($students as $i => $student) {
            $variant = $this->variants[(string) ($attributes[$student][$this->attribute] ?? '')] ?? null;
            if (null === $variant || ($i > 0 && $variant !== $found)) {
                return null;
            }
            $found = $variant;
        }

        return $found;
    }
}
