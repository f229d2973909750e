<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Roster\Erasure;

use FreshHuddle\Core\Roster\Erasure\FormerMember;
use PHPUnit\Framework\TestCase;

/**
 * What stays of a student who asked to be forgotten, in the papers of others.
 */
final class FormerMemberTest extends TestCase
{
    private const ID = '01a230ee-46bc-72a2-a569-ee4c37a0d48b';

    public function test_the_name_becomes_words_however_it_is_written(): void
    {
        $gone = self::gone();
        self::assertSame('a former member wrote this.', $gone->text('Zoë Okafor wrote this.'));
        self::assertSame('So a former member, again.', $gone->text('So ZOË  okafor, again.'));
        self::assertSame('a former member’s wall', $gone->text('Zoë Okafor’s wall'));
    }

    public function test_a_longer_name_or_word_is_left_alone(): void
    {
        $gone = self::gone();
        self::assertSame('Zoë Okafor-Lund stayed', self::gone(['Zoë Okaforson'])->text('Zoë Okafor-Lund stayed'));
        self::assertSame('Zoë Okaforson', $gone->text('Zoë Okaforson'));
        self::assertSame('Will you come?', self::gone(['Will'])->text('Will you come?'), 'one word is also a word');
    }

    public function test_the_longest_name_goes_first(): void
    {
        $gone = self::gone(['Zoë Okafor', 'Zoë Okafor Lund']);
        self::assertSame('a former member left', $gone->text('Zoë Okafor Lund left'));
    }

    public function test_signs_of_patterns_and_replacements_are_only_signs(): void
    {
        $gone = new FormerMember(self::ID, ['A. (B) [C]'], '$0 \\1');
        self::assertSame('so $0 \\1!', $gone->text('so A. (B) [C]!'));
        self::assertSame('AxB', $gone->text('AxB'));
    }

    public function test_an_id_is_nobodys_afterwards_in_all_depth(): void
    {
        self::assertSame(
            ['by' => FormerMember::NOBODY, 'all' => [['a former member', 3, null]], FormerMember::NOBODY => true],
            self::gone()->inside(['by' => self::ID, 'all' => [['Zoë Okafor', 3, null]], self::ID => true]),
        );
    }

    public function test_lists_of_students_are_shorter_afterwards(): void
    {
        self::assertSame(
            ['groups' => [['students' => ['a', 'b']]], 'fixed' => ['a' => 1]],
            self::gone()->without(['groups' => [['students' => ['a', self::ID, 'b']]], 'fixed' => ['a' => 1, self::ID => 2]]),
        );
    }

    /**
     * @param list<string> $names
     */
    private static function gone(array $names = ['Zoë Okafor']): FormerMember
    {
        return new FormerMember(self::ID, $names, 'a former member');
    }
}
