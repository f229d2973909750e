<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

/**
 * What a copy is called, so that copies sort by class, material and group: “9G · 02 Millbrook · Where does the wall
 * go?”.
 */
final readonly class CopyName
{
    /**
     * @param int $number the group's number, from 1
     * @param int $groups how many groups there are; the number is padded to its width so that names sort
     */
    public static function for(string $class, int $number, int $groups, string $group, string $original): string
    {
        $width = max(2, \strlen((string) $groups));

        return \sprintf(
            '%s · %s %s · %s',
            $class,
            str_pad((string) $number, $width, '0', \STR_PAD_LEFT),
            $group,
            $original,
        );
    }

    /**
     * Of a student, after those of groups; of the class where no student is named.
     */
    public static function ofOne(string $class, ?string $student, string $original): string
    {
        return implode(
            ' · ',
            array_filter([$class, $student, $original], static fn (?string $part): bool => null !== $part),
        );
    }
}
