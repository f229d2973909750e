<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use FreshHuddle\App\Http\File\Zip;
use FreshHuddle\App\Roster\Column\AttributeView;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Roster\Export\SafeCsv;

/**
 * A class list for other programs: CSV, JSON, and the OneRoster 1.2 CSV package.
 */
final readonly class ClassExport
{
    public function __construct(private ClassReader $views, private Words $words)
    {
    }

    public function csv(SchoolClass $class): string
    {
        $view = $this->views->one($class);
        $names = array_map(static fn (AttributeView $attribute): string => $attribute->name, $view->attributes);
        $say = fn (string $column): string => $this->words->say(new Message('roster.export.'.$column));
        $rows = [[$say('name'), $say('id'), $say('email'), $say('table'), ...$names, $say('tags')]];
        foreach ($view->students as $student) {
            $values = self::values($student);
            $rows[] = [
                $student->name,
                $student->schoolId,
                $student->email,
                $student->table,
                ...array_map(static fn (string $name): int|float|string|null => $values[$name] ?? null, $names),
                implode('; ', $student->tags),
            ];
        }

        return SafeCsv::write($rows);
    }

    /**
     * `fresh-huddle/class`, version 1; see docs/formats/class.schema.json. Rules are the teacher's own and not part of
     * it.
     */
    public function json(SchoolClass $class): string
    {
        $view = $this->views->one($class);

        return json_encode(
            [
                'format' => 'fresh-huddle/class',
                'version' => 1,
                'name' => $view->name,
                'students' => array_map(
                    static fn (StudentView $student): array => array_filter(
                        [
                            'id' => $student->id,
                            'name' => $student->name,
                            'schoolId' => $student->schoolId,
                            'email' => $student->email,
                            'table' => $student->table,
                            'attributes' => [] === $student->attributes ? null : self::values($student),
                            'tags' => [] === $student->tags ? null : $student->tags,
                        ],
                        static fn (mixed $value): bool => null !== $value,
                    ),
                    $view->students,
                ),
            ],
            \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
        )."\n";
    }

    /**
     * @return string the bytes of a zip file
     */
    public function oneRoster(SchoolClass $class): string
    {
        $org = 'org-'.$class->teacher->id;
        $users = [
            [
                'sourcedId',
                'status',
                'dateLastModified',
                'enabledUser',
                'username',
                'userIds',
                'givenName',
                'familyName',
                'middleName',
                'identifier',
                'email',
                'sms',
                'phone',
                'agentSourcedIds',
                'grades',
                'password',
                'userMasterIdentifier',
                'preferredGivenName',
                'preferredMiddleName',
                'preferredFamilyName',
                'primaryOrgSourcedId',
                'pronouns',
            ],
        ];
        $roles = [
            [
                'sourcedId',
                'status',
                'dateLastModified',
                'userSourcedId',
                'roleType',
                'role',
                'beginDate',
                'endDate',
                'orgSourcedId',
                'userProfileSourcedId',
            ],
        ];
        $enrollments = [
            [
                'sourcedId',
                'status',
                'dateLastModified',
                'classSourcedId',
                'schoolSourcedId',
                'userSourcedId',
                'role',
                'primary',
                'beginDate',
                'endDate',
            ],
        ];
        foreach ($this->views->students($class->id) as $student) {
            if (!$student->seatable) {
                continue;
            }
            $id = $student->schoolId ?? $student->id;
            $words = explode(' ', $student->name);
            $given = array_shift($words);
            $users[] = [
                $id,
                '',
                '',
                'true',
                $id,
                '',
                $given,
                implode(' ', $words),
                '',
                '',
                $student->email,
                '',
                '',
                '',
                '',
                '',
                '',
                '',
                '',
                '',
                $org,
                '',
            ];
            $roles[] = ['role-'.$student->id, '', '', $id, 'primary', 'student', '', '', $org, ''];
            $enrollments[] = ['enrolment-'.$student->id, '', '', $class->id, $org, $id, 'student', 'false', '', ''];
        }
        $files = [
            'manifest.csv' => [
                ['propertyName', 'value'],
                ['manifest.version', '1.0'],
                ['oneroster.version', '1.2'],
                ['file.academicSessions', 'absent'],
                ['file.categories', 'absent'],
                ['file.classes', 'bulk'],
                ['file.classResources', 'absent'],
                ['file.courses', 'bulk'],
                ['file.courseResources', 'absent'],
                ['file.demographics', 'absent'],
                ['file.enrollments', 'bulk'],
                ['file.lineItemLearningObjectiveIds', 'absent'],
                ['file.lineItems', 'absent'],
                ['file.lineItemScoreScales', 'absent'],
                ['file.orgs', 'bulk'],
                ['file.resources', 'absent'],
                ['file.resultLearningObjectiveIds', 'absent'],
                ['file.results', 'absent'],
                ['file.resultScoreScales', 'absent'],
                ['file.roles', 'bulk'],
                ['file.scoreScales', 'absent'],
                ['file.userProfiles', 'absent'],
                ['file.userResources', 'absent'],
                ['file.users', 'bulk'],
                ['source.systemName', 'Fresh Huddle'],
                ['source.systemCode', 'fresh-huddle'],
            ],
            'orgs.csv' => [
                ['sourcedId', 'status', 'dateLastModified', 'name', 'type', 'identifier', 'parentSourcedId'],
                [
                    $org,
                    '',
                    '',
                    $this->words->say(new Message('roster.export.school', ['teacher' => $class->teacher->name])),
                    'school',
                    '',
                    '',
                ],
            ],
            'courses.csv' => [
                [
                    'sourcedId',
                    'status',
                    'dateLastModified',
                    'schoolYearSourcedId',
                    'title',
                    'courseCode',
                    'grades',
                    'orgSourcedId',
                    'subjects',
                    'subjectCodes',
                ],
                ['course-'.$class->id, '', '', '', $class->name, '', '', $org, '', ''],
            ],
            'classes.csv' => [
                [
                    'sourcedId',
                    'status',
                    'dateLastModified',
                    'title',
                    'grades',
                    'courseSourcedId',
                    'classCode',
                    'classType',
                    'location',
                    'schoolSourcedId',
                    'termSourcedIds',
                    'subjects',
                    'subjectCodes',
                    'periods',
                ],
                [
                    $class->id,
                    '',
                    '',
                    $class->name,
                    '',
                    'course-'.$class->id,
                    '',
                    'scheduled',
                    '',
                    $org,
                    '',
                    '',
                    '',
                    '',
                ],
            ],
            'users.csv' => $users,
            'roles.csv' => $roles,
            'enrollments.csv' => $enrollments,
        ];

        // the standard wants no byte order mark
        return Zip::of(array_map(static fn (array $rows): string => substr(SafeCsv::write($rows), 3), $files));
    }

    /**
     * @return array<string, int|float|string>
     */
    private static function values(StudentView $student): array
    {
        $values = [];
        foreach ($student->attributes as $attribute) {
            $values[$attribute->name] = $attribute->typed();
        }

        return $values;
    }
}
