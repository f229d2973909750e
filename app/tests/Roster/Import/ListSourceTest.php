<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Roster\Import;

use FreshHuddle\App\Refusal\RefusalKind;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\App\Roster\Import\ListSource;
use FreshHuddle\App\Roster\Import\OneRosterSource;
use FreshHuddle\App\Roster\Import\SpreadsheetSource;
use FreshHuddle\App\Roster\Import\TextSource;
use FreshHuddle\App\Tests\Support\Files;
use FreshHuddle\Core\Roster\Import\Columns;
use FreshHuddle\Core\Roster\Import\ImportLine;
use FreshHuddle\Core\Roster\Import\ImportPlan;
use FreshHuddle\Core\Roster\PastedList;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What every kind of list file has to do. Another kind is a row in `sources`.
 */
final class ListSourceTest extends TestCase
{
    private const CLASS_9G = [['Ada', 'Lund', 's7'], ['Sóley', 'Arnardóttir', 's8'], ['Jaya', 'Rao', 's9']];

    /**
     * @param \Closure(list<array{string, string, string}>): string $write
     */
    #[DataProvider('sources')]
    public function test_the_same_class_is_read_whatever_it_comes_in(ListSource $source, \Closure $write): void
    {
        $bytes = $write(self::CLASS_9G);
        self::assertTrue($source->reads($bytes));
        $sheet = $source->sheet($bytes, null);
        $lines = ImportPlan::fromSheet($sheet, Columns::recognise($sheet), [])->lines;
        self::assertSame(
            [['Ada Lund', 's7'], ['Sóley Arnardóttir', 's8'], ['Jaya Rao', 's9']],
            array_map(static fn (ImportLine $line): array => [$line->record?->name, $line->record?->schoolId], $lines),
        );
    }

    /**
     * @param \Closure(list<array{string, string, string}>): string $write
     */
    #[DataProvider('sources')]
    public function test_a_file_that_broke_off_is_refused_in_words_or_read_as_far_as_it_goes_and_never_breaks_anything(
        ListSource $source,
        \Closure $write,
    ): void {
        $bytes = $write(self::CLASS_9G);
        $read = 0;
        for ($length = 0; $length < \strlen($bytes); $length += max(1, intdiv(\strlen($bytes), 60))) {
            try {
                $sheet = $source->sheet(substr($bytes, 0, $length), null);
                $read += \count($sheet->rows);
            } catch (RosterRefused $e) {
                self::assertSame([RefusalKind::Unusable, 'file'], [$e->kind, $e->field]);
            }
        }
        self::assertGreaterThanOrEqual(0, $read);
    }

    /**
     * @param \Closure(list<array{string, string, string}>): string $write
     */
    #[DataProvider('sources')]
    public function test_bytes_that_mean_nothing_are_refused_or_are_one_line_of_nothing(
        ListSource $source,
        \Closure $write,
    ): void {
        foreach (
            ["\x00\x01\x02\x00binary", 'PK'."\x03\x04".str_repeat("\xFF", 200), str_repeat("\0", 4_000)] as $bytes
        ) {
            try {
                self::assertLessThan(2, \count($source->sheet($bytes, null)->rows));
            } catch (RosterRefused $e) {
                self::assertSame('file', $e->field);
            }
        }
    }

    /**
     * @param \Closure(list<array{string, string, string}>): string $write
     */
    #[DataProvider('sources')]
    public function test_a_list_is_never_longer_than_a_class_can_be_by_much(ListSource $source, \Closure $write): void
    {
        $many = array_map(
            static fn (int $i): array => ['Student', 'No'.$i, 'id'.$i],
            range(1, PastedList::MAX_STUDENTS + 5),
        );
        $rows = \count($source->sheet($write($many), null)->rows);
        self::assertGreaterThan(
            PastedList::MAX_STUDENTS,
            $rows,
            'so that it is said that they are too many, and none is dropped unsaid',
        );
        self::assertLessThan(2 * PastedList::MAX_STUDENTS, $rows);
    }

    /**
     * @return iterable<string, array{ListSource, \Closure(list<array{string, string, string}>): string}>
     */
    public static function sources(): iterable
    {
        yield 'CSV' => [new TextSource(), self::csv(...)];
        yield 'tabs' => [new TextSource(), self::tabs(...)];
        yield 'CSV in UTF-16' => [new TextSource(), self::wide(...)];
        yield 'ODS' => [new SpreadsheetSource(), self::ods(...)];
        yield 'XLSX' => [new SpreadsheetSource(), self::xlsx(...)];
        yield 'OneRoster' => [new OneRosterSource(), Files::oneRoster(...)];
    }

    /**
     * @param list<array{string, string, string}> $students
     *
     * @return list<list<string>>
     */
    private static function rows(array $students): array
    {
        return [['First name', 'Last name', 'ID'], ...$students];
    }

    /**
     * @param list<array{string, string, string}> $students
     */
    private static function text(array $students, string $between): string
    {
        return implode(
            "\n",
            array_map(static fn (array $row): string => implode($between, $row), self::rows($students)),
        );
    }

    /**
     * @param list<array{string, string, string}> $students
     */
    private static function csv(array $students): string
    {
        return self::text($students, ';');
    }

    /**
     * @param list<array{string, string, string}> $students
     */
    private static function tabs(array $students): string
    {
        return self::text($students, "\t");
    }

    /**
     * @param list<array{string, string, string}> $students
     */
    private static function wide(array $students): string
    {
        return "\xFF\xFE".mb_convert_encoding(self::text($students, ','), 'UTF-16LE', 'UTF-8');
    }

    /**
     * @param list<array{string, string, string}> $students
     */
    private static function ods(array $students): string
    {
        return Files::ods(self::rows($students));
    }

    /**
     * @param list<array{string, string, string}> $students
     */
    private static function xlsx(array $students): string
    {
        return Files::xlsx(Files::cells(self::rows($students)));
    }
}
