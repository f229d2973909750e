<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Roster;

use FreshHuddle\Core\Roster\Exception\TooManyStudents;
use FreshHuddle\Core\Roster\Exception\UnusableName;
use FreshHuddle\Core\Roster\PastedLine;
use FreshHuddle\Core\Roster\PastedLineFate;
use FreshHuddle\Core\Roster\PastedList;
use FreshHuddle\Core\Tests\Support\Plainly;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Pasted names are read as a teacher would read them.
 */
final class PastedListTest extends TestCase
{
    /**
     * @param list<string> $expected
     */
    #[DataProvider('lists')]
    public function test_names_are_read_as_a_teacher_would_read_them(string $pasted, array $expected): void
    {
        self::assertSame($expected, PastedList::read($pasted)->names());
    }

    /**
     * @return iterable<string, array{string, list<string>}>
     */
    public static function lists(): iterable
    {
        yield 'one a line' => ["Ada Lund\nBen Oduya", ['Ada Lund', 'Ben Oduya']];
        yield 'nothing' => ['', []];
        yield 'only blank lines' => ["\n  \n\t\n\u{A0}\n", []];
        yield 'line ends of every machine' => ["Ada\r\nBen\rChi\nDov", ['Ada', 'Ben', 'Chi', 'Dov']];
        yield 'blank lines between' => ["\n\nAda\n\n\nBen\n\n", ['Ada', 'Ben']];
        yield 'spaces of every kind' => ["  Ada \u{A0} Lund\u{3000}\nBen", ['Ada Lund', 'Ben']];
        yield 'numbered' => ["1. Ada\n2) Ben\n 17 . Chi", ['Ada', 'Ben', 'Chi']];
        yield 'bulleted' => ["- Ada\n• Ben\n* Chi", ['Ada', 'Ben', 'Chi']];
        yield 'a hyphenated name is no bullet' => ['Anne-Lise', ['Anne-Lise']];
        yield 'a heading' => ["Name\nAda", ['Ada']];
        yield 'a heading in capitals with a colon' => ["STUDENTS:\nAda", ['Ada']];
        yield 'a heading only counts on top' => ["Ada\nName", ['Ada', 'Name']];
        yield 'given and family name in columns' => [
            "First name\tLast name\nAda\tLund\nBen\tOduya",
            ['Ada Lund', 'Ben Oduya'],
        ];
        yield 'family name first' => ["Surname\tFirst name\tForm\nLund\tAda\t9G", ['Ada Lund']];
        yield 'a number before the name' => ["No.\tName\n1\tAda\n2\tBen", ['Ada', 'Ben']];
        yield 'columns without a heading' => ["17\tAda Lund\t9G", ['Ada Lund']];
        yield 'quoted cells of a spreadsheet' => ['"Lund, ""Adi"""', ['Lund, "Adi"']];
        yield 'a byte order mark' => ["\u{FEFF}Ada\nBen", ['Ada', 'Ben']];
        yield 'other scripts' => [
            "Мирослава Тимченко\nنورة السبيعي\n田中 花子\nनेहा शर्मा",
            ['Мирослава Тимченко', 'نورة السبيعي', '田中 花子', 'नेहा शर्मा'],
        ];
        yield 'last letters whose bytes stand in other signs too' => [
            "Kovač\nSofÍ\nÀ\n小龍\n이준\nआ\nAda 😀",
            ['Kovač', 'SofÍ', 'À', '小龍', '이준', 'आ', 'Ada 😀'],
        ];
        yield 'control signs and direction overrides' => ["A\u{202E}da\u{0007}", ['Ada']];
        yield 'a joiner that a script needs' => ["ශ්\u{200D}රී", ["ශ්\u{200D}රී"]];
    }

    public function test_a_name_that_stands_twice_is_added_once_and_said(): void
    {
        $list = PastedList::read("Ada Lund\nBen\nada  LUND");
        self::assertSame(['Ada Lund', 'Ben'], $list->names());
        self::assertSame([PastedLineFate::Taken, PastedLineFate::Taken, PastedLineFate::Doubled], self::fates($list));
        self::assertSame('line.doubled(ada LUND)', Plainly::said($list->lines[2]->message));
    }

    public function test_a_name_that_is_in_the_class_already_is_not_added_again(): void
    {
        $list = PastedList::read("ÅSA\nBen", ['Åsa']);
        self::assertSame(['Ben'], $list->names());
        self::assertSame(PastedLineFate::Known, $list->lines[0]->fate);
    }

    public function test_accents_tell_people_apart(): void
    {
        self::assertCount(2, PastedList::read("José\nJose")->names());
    }

    public function test_the_same_letters_written_in_two_ways_are_the_same_name(): void
    {
        self::assertSame(['José'], PastedList::read("José\nJose\u{301}")->names());
    }

    public function test_a_line_that_is_no_name_is_refused_and_kept_to_be_shown(): void
    {
        $list = PastedList::read("Ada\n12345\n".str_repeat('x', 121)."\nBen");
        self::assertSame(['Ada', 'Ben'], $list->names());
        self::assertSame(
            [PastedLineFate::Taken, PastedLineFate::Refused, PastedLineFate::Refused, PastedLineFate::Taken],
            self::fates($list),
        );
        self::assertSame('roster.name.too_long', $list->lines[2]->message?->code);
        self::assertSame(3, $list->lines[2]->line);
    }

    public function test_every_line_that_is_not_blank_is_answered_for(): void
    {
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(11));
        $pieces = ['Ada', 'Ben ', '', '  ', '42', 'Name', "a\tb", str_repeat('é', 130), '1. Chi', "\u{A0}", 'ada'];
        for ($round = 0; $round < 500; ++$round) {
            $lines = [];
            for ($i = $random->getInt(0, 12); $i > 0; --$i) {
                $lines[] = $pieces[$random->getInt(0, \count($pieces) - 1)];
            }
            $list = PastedList::read(implode("\n", $lines));
            $notBlank = array_filter($lines, static fn (string $line): bool => '' !== trim($line, " \u{A0}\t"));
            self::assertCount(\count($notBlank), $list->lines);
            self::assertSame(array_values(array_unique($list->names())), $list->names());
        }
    }

    public function test_a_class_holds_1200_and_not_one_more(): void
    {
        $names = array_map(
            static fn (int $i): string => 'Student '.\chr(65 + ($i % 26)).'-'.$i,
            range(1, 1_200),
        );
        self::assertCount(1_200, PastedList::read(implode("\n", $names))->names());
        $this->expectException(TooManyStudents::class);
        PastedList::read("One More\n".implode("\n", $names));
    }

    public function test_those_already_there_count(): void
    {
        $known = array_map(static fn (int $i): string => "Known {$i}", range(1, 1_199));
        self::assertCount(1, PastedList::read('Ada', $known)->names());
        $this->expectException(TooManyStudents::class);
        PastedList::read("Ada\nBen", $known);
    }

    public function test_what_is_not_text_is_refused(): void
    {
        $this->expectException(UnusableName::class);
        PastedList::read("Ada\xFF");
    }

    /**
     * @return list<PastedLineFate>
     */
    private static function fates(PastedList $list): array
    {
        return array_map(static fn (PastedLine $line): PastedLineFate => $line->fate, $list->lines);
    }
}
