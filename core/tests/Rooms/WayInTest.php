<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Rooms;

use FreshHuddle\Core\Rooms\SourceKind;
use FreshHuddle\Core\Rooms\WayIn;
use PHPUnit\Framework\TestCase;

/**
 * How somebody gets into a room.
 */
final class WayInTest extends TestCase
{
    private const ROLES = ['ada' => 'Lead', 'ben' => 'Scribe', 'chi' => ''];

    public function test_a_place_in_the_building_is_walked_to(): void
    {
        self::assertSame(WayIn::Place, WayIn::forStudent(SourceKind::Classroom, 'lead', self::ROLES, 'ben', null, 100));
        self::assertSame(WayIn::None, WayIn::forStudent(null, 'lead', self::ROLES, 'ben', null, 100));
    }

    public function test_a_room_made_at_a_service_is_open_by_itself(): void
    {
        self::assertSame(WayIn::Press, WayIn::forStudent(SourceKind::MeetingService, 'lead', self::ROLES, 'ben', null, 100));
    }

    public function test_where_nobody_has_to_open_everybody_goes_in(): void
    {
        self::assertSame(WayIn::Press, WayIn::forStudent(SourceKind::OwnLinks, '', self::ROLES, 'ben', null, 100));
    }

    public function test_the_lead_opens_and_the_others_wait_until_it_is_open(): void
    {
        foreach ([SourceKind::OwnLinks, SourceKind::NamePattern] as $source) {
            self::assertSame(WayIn::Open, WayIn::forStudent($source, ' lead ', self::ROLES, 'ada', null, 100));
            self::assertSame(WayIn::Wait, WayIn::forStudent($source, 'lead', self::ROLES, 'ben', null, 100));
            self::assertSame(
                WayIn::Wait,
                WayIn::forStudent($source, 'lead', self::ROLES, 'ben', 99, 100),
                'that was in the round before',
            );
            self::assertSame(WayIn::Press, WayIn::forStudent($source, 'lead', self::ROLES, 'ben', 100, 100));
            self::assertSame(WayIn::Press, WayIn::forStudent($source, 'lead', self::ROLES, 'ada', 101, 100));
        }
    }

    public function test_where_no_lead_is_here_whoever_comes_first_opens(): void
    {
        self::assertSame(
            WayIn::Open,
            WayIn::forStudent(SourceKind::OwnLinks, 'lead', ['ben' => 'Scribe', 'chi' => ''], 'chi', null, 100),
        );
        self::assertSame([], WayIn::openers('lead', ['ben' => 'Scribe']));
    }
}
