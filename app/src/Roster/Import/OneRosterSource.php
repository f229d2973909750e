<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\Core\Roster\Import\Csv;
use FreshHuddle\Core\Roster\Import\Sheet;

/**
 * The OneRoster 1.2 CSV package (and 1.1, where the role stands with the user): students of one class, or of all.
 */
final readonly class OneRosterSource implements ListSource
{
    public function reads(string $bytes): bool
    {
        return Package::isOne($bytes) && (new Package($bytes))->has('users.csv');
    }

    public function sheet(string $bytes, ?string $packageClass): Sheet
    {
        $package = new Package($bytes);
        $users = self::table($package, 'users.csv');
        $students = $this->students($package, $users, $packageClass);
        $rows = [['First name', 'Last name', 'Id', 'Grade']];
        foreach ($users as $user) {
            $id = $user['sourcedId'] ?? '';
            if (!isset($students[$id]) || 'tobedeleted' === mb_strtolower($user['status'] ?? '')) {
                continue;
            }
            $given = $user['preferredGivenName'] ?? '';
            $family = $user['preferredFamilyName'] ?? '';
            $rows[] = [
                '' === $given ? $user['givenName'] ?? '' : $given,
                '' === $family ? $user['familyName'] ?? '' : $family,
                $id,
                $user['grades'] ?? '',
            ];
        }
        if (1 === \count($rows)) {
            throw RosterRefused::unusable(
                null === $packageClass ? 'roster.file.no_students' : 'roster.file.no_students_of_class',
                'file',
            );
        }

        return Sheet::fromRows($rows);
    }

    /**
     * @return list<PackageClass> the classes of a package
     */
    public function classes(string $bytes): array
    {
        $package = new Package($bytes);
        $count = [];
        foreach (self::table($package, 'enrollments.csv') as $enrollment) {
            if ('student' === mb_strtolower($enrollment['role'] ?? '')) {
                $class = $enrollment['classSourcedId'] ?? '';
                $count[$class] = ($count[$class] ?? 0) + 1;
            }
        }
        $classes = [];
        foreach (self::table($package, 'classes.csv') as $class) {
            $id = $class['sourcedId'] ?? '';
            $classes[] = new PackageClass($id, $class['title'] ?? $id, $count[$id] ?? 0);
        }

        return $classes;
    }

    /**
     * @param list<array<string, string>> $users
     *
     * @return array<string, true> ids of the students wanted
     */
    private function students(Package $package, array $users, ?string $packageClass): array
    {
        $students = [];
        foreach (self::table($package, 'enrollments.csv') as $enrollment) {
            if (
                'student' === mb_strtolower($enrollment['role'] ?? '')
                && (null === $packageClass || ($enrollment['classSourcedId'] ?? '') === $packageClass)
            ) {
                $students[$enrollment['userSourcedId'] ?? ''] = true;
            }
        }
        if ([] !== $students || null !== $packageClass) {
            return $students;
        }
        foreach ($users as $user) {
            // no enrolments: whoever is a student
            if ('student' === mb_strtolower($user['role'] ?? 'student')) {
                $students[$user['sourcedId'] ?? ''] = true;
            }
        }

        return $students;
    }

    /**
     * @return list<array<string, string>> rows by heading
     */
    private static function table(Package $package, string $name): array
    {
        $text = $package->text($name);
        if (null === $text) {
            return [];
        }
        $sheet = Csv::read($text);
        $heading = $sheet->rows[0] ?? [];
        $rows = [];
        foreach (\array_slice($sheet->rows, 1) as $row) {
            $named = [];
            foreach ($heading as $i => $column) {
                $named[$column] = $row[$i] ?? '';
            }
            $rows[] = $named;
        }

        return $rows;
    }
}
