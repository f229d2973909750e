<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Export;

use FreshHuddle\App\Http\File\Zip;
use FreshHuddle\Core\Roster\Export\SafeCsv;

/**
 * A OneRoster 1.2 package (1EdTech, CSV binding): all files of a bulk export.
 */
final class OneRosterFiles
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
        'academicSessions' => 'sourcedId status dateLastModified title type startDate endDate parentSourcedId schoolYear',
        'categories' => 'sourcedId status dateLastModified title weight',
        'lineItems' => 'sourcedId status dateLastModified title description assignDate dueDate classSourcedId '.
            'categorySourcedId gradingPeriodSourcedId resultValueMin resultValueMax schoolSourcedId',
        'results' => 'sourcedId status dateLastModified lineItemSourcedId studentSourcedId scoreStatus score '.
            'scoreDate comment textScore classSourcedId inProgress incomplete late missing',
        'enrollments' => 'sourcedId status dateLastModified classSourcedId schoolSourcedId userSourcedId role primary '.
            'beginDate endDate',
    ];
    /** All files the standard knows; those we have no columns for are not there. */
    private const FILES = 'academicSessions categories classes classResources courses courseResources demographics '.
        'enrollments lineItemLearningObjectiveIds lineItems lineItemScoreScales orgs resources '.
        'resultLearningObjectiveIds results resultScoreScales roles scoreScales userProfiles userResources users';

    /**
     * @param array<string, list<array<string, string>>> $rows rows of each file there is, by column
     *
     * @return string the bytes of a zip file
     */
    public static function zip(array $rows): string
    {
        $files = ['manifest.csv' => self::manifest($rows)];
        foreach ($rows as $file => $some) {
            $files["{$file}.csv"] = self::table(explode(' ', self::COLUMNS[$file]), $some);
        }

        // the standard wants no byte order mark
        return Zip::fromFiles(array_map(static fn (array $table): string => substr(SafeCsv::write($table), 3), $files));
    }

    /**
     * @param array<string, list<array<string, string>>> $rows
     *
     * @return list<list<string>>
     */
    private static function manifest(array $rows): array
    {
        $files = array_map(
            static fn (string $file): array => ["file.{$file}", isset($rows[$file]) ? 'bulk' : 'absent'],
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
