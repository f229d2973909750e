<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Roster;

use FreshHuddle\Core\Roster\Door\NameMatch;
use FreshHuddle\Core\Roster\Exception\UnusableName;
use FreshHuddle\Core\Roster\Import\Columns;
use FreshHuddle\Core\Roster\Import\Csv;
use FreshHuddle\Core\Roster\Import\ImportLine;
use FreshHuddle\Core\Roster\Import\ImportPlan;
use FreshHuddle\Core\Roster\PastedList;
use FreshHuddle\Core\Roster\StudentName;
use PHPUnit\Framework\TestCase;

/**
 * Names of all languages.
 */
final class NamesOfTheWorldTest extends TestCase
{
    public function test_a_name_of_any_language_stands_on_the_list_as_it_was_written(): void
    {
        $names = self::names();
        self::assertGreaterThanOrEqual(60, \count($names));
        foreach ($names as $language => $name) {
            $kept = \Normalizer::normalize($name, \Normalizer::FORM_C);
            self::assertSame($kept, StudentName::fromText($name)->value, $language);
            self::assertSame($kept, StudentName::fromText("\u{FEFF} \t{$name}\u{A0}\r\n")->value, $language);
        }
    }

    public function test_a_class_of_all_of_them_is_read_from_a_paste_and_from_a_file(): void
    {
        $names = array_map(
            static fn (string $name): string => StudentName::fromText($name)->value,
            array_values(self::names()),
        );
        self::assertSame($names, PastedList::read(implode("\n", $names))->names());
        $sheet = Csv::read(
            "Name;Level\n".implode("\n", array_map(static fn (string $name): string => $name.';3', $names)),
        );
        self::assertSame(
            $names,
            array_map(
                static fn (ImportLine $line): ?string => $line->record?->name,
                ImportPlan::fromSheet($sheet, Columns::recognise($sheet), [])->lines,
            ),
        );
    }

    public function test_everybody_comes_in_under_their_own_name_however_its_signs_are_composed(): void
    {
        $names = array_map(
            static fn (string $name): string => StudentName::fromText($name)->value,
            array_values(self::names()),
        );
        foreach ($names as $name) {
            $list = array_combine($names, array_map(static fn (string $one): array => [$one], $names));
            self::assertSame([$name], NameMatch::find($name, $list), $name);
            self::assertSame([$name], NameMatch::find(self::apart($name), $list), $name);
        }
    }

    public function test_a_name_may_be_one_letter_a_pictogram_may_stand_in_it_and_two_hundred_letters_are_refused_and_not_cut(): void
    {
        foreach (['É', '李', 'ё', 'Q'] as $one) {
            self::assertSame($one, StudentName::fromText($one)->value);
        }
        self::assertSame('Ada 🦦👩‍🔬', StudentName::fromText('Ada 🦦👩‍🔬')->value);
        self::assertSame(120, mb_strlen(StudentName::fromText(str_repeat('č', 120))->value));
        try {
            StudentName::fromText(str_repeat('č', 200));
            self::fail('It was cut without a word.');
        } catch (UnusableName $e) {
            self::assertSame(['roster.name.too_long', 200], [$e->says->code, $e->says->values['length']]);
        }
    }

    /**
     * @return array<string, string>
     */
    private static function names(): array
    {
        /** @var array<string, string> $names */
        $names = require __DIR__.'/names.php';

        return $names;
    }

    /**
     * With its marks written after their letters.
     */
    private static function apart(string $name): string
    {
        $apart = \Normalizer::normalize($name, \Normalizer::FORM_D);

        return \is_string($apart) ? $apart : $name;
    }
}
