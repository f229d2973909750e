<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Export;

use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;

/**
 * A class for a OneRoster 1.2 package.
 */
final readonly class OneRosterPackage
{
    public function __construct(private ClassReader $views, private Words $words)
    {
    }

    /**
     * @return string the bytes of a zip file
     */
    public function forClass(SchoolClass $class): string
    {
        return OneRosterFiles::zip($this->rows($class));
    }

    /**
     * @return array<string, list<array<string, string>>> rows of each file, by column
     */
    public function rows(SchoolClass $class): array
    {
        $org = 'org-'.$class->teacher->id;
        $course = 'course-'.$class->id;
        $school = $this->words->say(new Message('roster.export.school', ['teacher' => $class->teacher->name]));
        $rows = [
            'orgs' => [['sourcedId' => $org, 'name' => $school, 'type' => 'school']],
            'courses' => [['sourcedId' => $course, 'title' => $class->name, 'orgSourcedId' => $org]],
            'classes' => [
                [
                    'sourcedId' => $class->id,
                    'title' => $class->name,
                    'courseSourcedId' => $course,
                    'classType' => 'scheduled',
                    'schoolSourcedId' => $org,
                ],
            ],
            'users' => [],
            'roles' => [],
            'enrollments' => [],
        ];
        foreach ($this->views->students($class->id) as $student) {
            if ($student->seatable) {
                foreach (self::student($student, $class->id, $org) as $file => $row) {
                    $rows[$file][] = $row;
                }
            }
        }

        return $rows;
    }

    /**
     * @return array<string, array<string, string>> a row of each file that is about students, by column
     */
    private static function student(StudentView $student, string $class, string $org): array
    {
        $id = $student->schoolId ?? $student->id;
        $words = explode(' ', $student->name);
        $given = array_shift($words);

        return [
            'users' => [
                'sourcedId' => $id,
                'enabledUser' => 'true',
                'username' => $id,
                'givenName' => $given,
                'familyName' => implode(' ', $words),
                'email' => $student->email ?? '',
                'primaryOrgSourcedId' => $org,
            ],
            'roles' => [
                'sourcedId' => 'role-'.$student->id,
                'userSourcedId' => $id,
                'roleType' => 'primary',
                'role' => 'student',
                'orgSourcedId' => $org,
            ],
            'enrollments' => [
                'sourcedId' => 'enrolment-'.$student->id,
                'classSourcedId' => $class,
                'schoolSourcedId' => $org,
                'userSourcedId' => $id,
                'role' => 'student',
                'primary' => 'false',
            ],
        ];
    }
}
