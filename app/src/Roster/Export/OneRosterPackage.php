<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Export;

use FreshHuddle\App\Http\File\Zip;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Roster\Export\SafeCsv;

/**
 * A class as a OneRoster 1.2 package (1EdTech, CSV binding): all files of a bulk export that has no terms.
 */
final readonly class OneRosterPackage
{
    /** The columns of each file, in the order the standard gives them. */
    private const COLUMNS = [
        'orgs' => 'sourcedId status dateLastModified name type identifier parentSourcedId',
        'courses' => 'sourcedId status dateLastModified schoolYearSourcedId title courseCode grades orgSourcedId '.
            'subjects subjectCodes',
        'classes' => 'sourcedId status dateLastModified title grades courseSourcedId classCode classType location '.
            'schoolSourcedId termSourcedIds subjects subjectCodes periods',
        'users' => 'sourcedId status dateLastModified enabledUser username userIds givenName familyName middleName '.
            'identifier email sms phone agentSourcedIds grades password userMasterIdentifier preferredGivenName '.
            'preferredMiddleName preferredFamilyName primaryOrgSourcedId pronouns',
        'roles' => 'sourcedId status dateLastModified userSourcedId roleType role beginDate endDate orgSourcedId '.
            'userProfileSourcedId',
        'enrollments' => 'sourcedId status dateLastModified classSourcedId schoolSourcedId userSourcedId role primary '.
            'beginDate endDate',
    ];
    /** All files the standard knows; those we have no columns for are not there. */
    private const FILES = 'academicSessions categories classes classResources courses courseResources demographics '.
        'enrollments lineItemLearningObjectiveIds lineItems lineItemScoreScales orgs resources '.
        'resultLearningObjectiveIds results resultScoreScales roles scoreScales userProfiles userResources users';

    public function __construct(private ClassReader $views, private Words $words)
    {
    }

    /**
     * @return string the bytes of a zip file
     */
    public function forClass(SchoolClass $class): string
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
        $files = ['manifest.csv' => self::manifest()];
        foreach ($rows as $file => $some) {
            $files["{$file}.csv"] = self::table(explode(' ', self::COLUMNS[$file]), $some);
        }

        // the standard wants no byte order mark
        return Zip::fromFiles(array_map(static fn (array $table): string => substr(SafeCsv::write($table), 3), $files));
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

    /**
     * @return list<list<string>>
     */
    private static function manifest(): array
    {
        $files = array_map(
            static fn (string $file): array => ["file.{$file}", isset(self::COLUMNS[$file]) ? 'bulk' : 'absent'],
            explode(' ', self::FILES),
        );

        return [
            ['propertyName', 'value'],
            ['manifest.version', '1.0'],
            ['oneroster.version', '1.2'],
            ...$files,
            ['source.systemName', 'Fresh Huddle'],
            ['source.systemCode', 'fresh-huddle'],
        ];
    }

    /**
     * @param list<string>                $columns
     * @param list<array<string, string>> $rows    by column; what is missing is empty
     *
     * @return list<list<string>> with the names of the columns first
     */
    private static function table(array $columns, array $rows): array
    {
        return [
            $columns,
            ...array_map(
                static fn (array $row): array => array_map(
                    static fn (string $column): string => $row[$column] ?? '',
                    $columns,
                ),
                $rows,
            ),
        ];
    }
}
