<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Rooms;

use FreshHuddle\Core\Rooms\Exception\UnknownPlaceholder;
use FreshHuddle\Core\Rooms\NamePattern;
use FreshHuddle\Core\Rooms\RoomState;
use PHPUnit\Framework\TestCase;

/**
 * Names of rooms from a pattern.
 */
final class NamePatternTest extends TestCase
{
    public function test_placeholders_are_filled_in(): void
    {
        $pattern = new NamePattern('{class} · {n} {group}');
        self::assertSame('9G · 3 Saltmarsh', $pattern->name(['class' => '9G', 'n' => 3, 'group' => 'Saltmarsh']));
    }

    public function test_what_is_filled_in_is_not_filled_in_again(): void
    {
        self::assertSame('{class}', (new NamePattern('{group}'))->name(['group' => '{class}', 'class' => 'secret']));
    }

    public function test_a_missing_value_leaves_no_gap(): void
    {
        self::assertSame(
            '9G Saltmarsh',
            (new NamePattern('{class} {lesson} {group}'))->name(['class' => '9G', 'group' => 'Saltmarsh']),
        );
    }

    public function test_a_long_name_is_cut_and_says_so(): void
    {
        $name = (new NamePattern('{class}'))->name(['class' => str_repeat('é', 200)]);
        self::assertSame(120, mb_strlen($name));
        self::assertStringEndsWith('…', $name);
    }

    public function test_an_unknown_placeholder_is_named(): void
    {
        $this->expectException(UnknownPlaceholder::class);
        $this->expectExceptionMessage('rooms.unknown_placeholder');
        new NamePattern('{room}');
    }

    public function test_only_a_room_that_was_made_has_a_link(): void
    {
        $without = array_filter(RoomState::cases(), static fn (RoomState $state): bool => !$state->hasLink());
        self::assertSame([RoomState::Planned, RoomState::Failed], array_values($without));
    }
}
