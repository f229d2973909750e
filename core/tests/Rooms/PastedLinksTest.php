<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Rooms;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Rooms\PastedLink;
use FreshHuddle\Core\Rooms\PastedLinks;
use PHPUnit\Framework\TestCase;

/**
 * Pasted links find their groups.
 */
final class PastedLinksTest extends TestCase
{
    private const GROUPS = ['q' => 'Quayside', 'm' => 'Millbrook', 's' => 'Saltmarsh'];

    public function test_a_column_of_links_goes_to_the_groups_in_order(): void
    {
        self::assertSame(
            ['q' => 'r.example/a', 'm' => 'r.example/b', 's' => 'r.example/c'],
            $this->taken("https://r.example/a\n\nr.example/b\r\n https://r.example/c/ "),
        );
    }

    public function test_lines_with_a_name_or_a_number_go_where_they_say_and_the_others_to_the_rest(): void
    {
        $list = <<<'TEXT'
            https://r.example/first-free
            saltmarsh: https://r.example/salt
            1,"https://r.example/one"
            TEXT;
        self::assertSame(
            ['m' => 'r.example/first-free', 's' => 'r.example/salt', 'q' => 'r.example/one'],
            $this->taken($list),
        );
    }

    public function test_the_same_in_every_way_people_write_a_list(): void
    {
        foreach (
            [
                "Quayside\thttps://r.example/a\nMillbrook\thttps://r.example/b",
                "Quayside;https://r.example/a;\nMillbrook;https://r.example/b;",
                "\"Quayside\",\"https://r.example/a\"\n\"Millbrook\",\"https://r.example/b\"",
                "QUAYSIDE – r.example/a\nmillbrook = r.example/b",
                "https://r.example/a (Quayside)\nhttps://r.example/b | Millbrook",
                "Group 1: <https://r.example/a>\nTable 2: <https://r.example/b>",
                "1. r.example/a\n2) r.example/b",
            ] as $list
        ) {
            self::assertSame(['q' => 'r.example/a', 'm' => 'r.example/b'], $this->taken($list), $list);
        }
    }

    public function test_the_main_session_can_be_in_the_list(): void
    {
        self::assertSame(
            ['main' => 'r.example/all', 'q' => 'r.example/a'],
            $this->taken("Main session, r.example/all\nr.example/a"),
        );
    }

    public function test_a_group_named_by_a_number_goes_before_the_place_in_the_row(): void
    {
        $plan = PastedLinks::read('2 r.example/two', ['a' => '2', 'b' => '1'], []);
        self::assertSame('a', $plan[0]->place);
    }

    public function test_one_link_never_serves_two(): void
    {
        self::assertSame(
            [1 => null, 2 => 'rooms.pasted.twice'],
            $this->faults("https://r.example/a\nHTTPS://R.example/a/?utm_source=x"),
        );
        self::assertSame(
            [1 => 'rooms.link.of_class', 2 => 'rooms.link.of_main', 3 => null],
            $this->faults("r.example/1\nr.example/2\nr.example/3", [
                'r.example/1' => new Message('rooms.link.of_class', ['class' => '10B']),
                'r.example/2' => 'main',
            ]),
        );
    }

    public function test_a_line_that_is_refused_leaves_its_own_group_without_a_link_and_shifts_no_other(): void
    {
        foreach (['r.example/a', 'ftp://r.example/x', 'httpss://r.example/x', 'https://'] as $refused) {
            $plan = PastedLinks::read("Our rooms\nr.example/a\n{$refused}\nr.example/b", self::GROUPS, []);
            self::assertSame(
                [null, 'q', 'm', 's'],
                array_map(static fn (PastedLink $line): ?string => $line->place, $plan),
                $refused,
            );
            self::assertSame(
                [false, true, false, true],
                array_map(static fn (PastedLink $line): bool => null !== $line->link, $plan),
                $refused,
            );
        }
    }

    public function test_each_line_that_is_not_taken_says_why_and_the_others_are(): void
    {
        $list =
            "Quayside: https://r.example/a\nNowhere: https://r.example/b\nMillbrook: javascript:alert(1)\nquayside: r.example/c\njust words\nr.example/d\nr.example/e\nr.example/f";
        self::assertSame(
            [
                1 => null,
                2 => 'rooms.pasted.no_such_group',
                3 => 'rooms.link.scheme',
                4 => 'rooms.pasted.group_twice',
                5 => 'rooms.link.unreadable',
                6 => null,
                7 => 'rooms.pasted.more_than_groups',
                8 => 'rooms.pasted.more_than_groups',
            ],
            $this->faults($list),
        );
    }

    public function test_no_end_of_lines_and_no_bytes_that_are_no_text(): void
    {
        $plan = PastedLinks::read(str_repeat("r.example/x\n", 2_000), self::GROUPS, []);
        self::assertCount(501, $plan);
        self::assertSame('rooms.pasted.too_many', $plan[500]->fault?->code);
        self::assertSame(
            'rooms.link.unreadable',
            PastedLinks::read("\xff\xfe\xff", self::GROUPS, [])[0]->fault?->code,
        );
        self::assertSame([], PastedLinks::read(" \n\t\r\n", self::GROUPS, []));
    }

    /**
     * @return array<string, string> normal form by place, of those that are taken
     */
    private function taken(string $text): array
    {
        $taken = [];
        foreach (PastedLinks::read($text, self::GROUPS, []) as $line) {
            self::assertNull($line->fault, $line->shown.': '.$line->fault?->code);
            $taken[(string) $line->place] = (string) $line->link?->normal;
        }

        return $taken;
    }

    /**
     * @param array<string, Message|string> $taken
     *
     * @return array<int, string|null> by line
     */
    private function faults(string $text, array $taken = []): array
    {
        $plan = PastedLinks::read($text, self::GROUPS, $taken);

        return array_combine(
            array_map(static fn (PastedLink $line): int => $line->line, $plan),
            array_map(static fn (PastedLink $line): ?string => $line->fault?->code, $plan),
        );
    }
}
