<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Live;

use FreshHuddle\Core\Live\Evidence;
use FreshHuddle\Core\Live\EvidenceKind;
use FreshHuddle\Core\Live\Place;
use FreshHuddle\Core\Live\Whereabouts;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Where a student is, from what is known of them.
 */
final class WhereaboutsTest extends TestCase
{
    private const NOW = 1_000_000;
    private const LONG_AGO = 100_000;
    private const JUST_NOW = 995_000;

    #[DataProvider('students')]
    public function test_where_a_student_is(
        Evidence $evidence,
        ?string $expected,
        int $since,
        Place $place,
        EvidenceKind $because,
        ?string $at,
    ): void {
        $where = Whereabouts::fromEvidence($evidence, $expected, $since, self::NOW);
        self::assertSame([$place, $because, $at], [$where->place, $where->because, $where->at]);
    }

    /**
     * @return iterable<string, array{Evidence, string|null, int, Place, EvidenceKind, string|null}>
     */
    public static function students(): iterable
    {
        $page = static fn (int $at): Evidence => new Evidence(pageAt: $at);
        $seen = static fn (string $place): Evidence => new Evidence(
            servicePlace: $place,
            serviceAt: self::LONG_AGO,
            pageAt: self::JUST_NOW,
        );
        yield 'never seen' => [new Evidence(), 'g1', self::LONG_AGO, Place::Lost, EvidenceKind::Never, null];
        yield 'in the right room' => [$seen('g1'), 'g1', self::LONG_AGO, Place::InPlace, EvidenceKind::Service, 'g1'];
        yield 'in the right room, page long silent' => [
            new Evidence('g1', self::LONG_AGO, pageAt: 1),
            'g1',
            self::LONG_AGO,
            Place::InPlace,
            EvidenceKind::Service,
            'g1',
        ];
        yield 'still in the main session, just sent' => [
            $seen('main'),
            'g1',
            self::JUST_NOW,
            Place::OnTheWay,
            EvidenceKind::Service,
            'main',
        ];
        yield 'still in the main session, long sent' => [
            $seen('main'),
            'g1',
            self::LONG_AGO,
            Place::LeftBehind,
            EvidenceKind::Service,
            'main',
        ];
        yield 'in another group’s room' => [
            $seen('g2'),
            'g1',
            self::LONG_AGO,
            Place::Elsewhere,
            EvidenceKind::Service,
            'g2',
        ];
        yield 'still in the room, long called back' => [
            $seen('g1'),
            'main',
            self::LONG_AGO,
            Place::Elsewhere,
            EvidenceKind::Service,
            'g1',
        ];
        yield 'pressed the button' => [
            new Evidence(linkPlace: 'g1', linkAt: self::JUST_NOW, pageAt: self::JUST_NOW),
            'g1',
            self::LONG_AGO,
            Place::OnTheWay,
            EvidenceKind::Link,
            null,
        ];
        yield 'pressed the button for last time’s room' => [
            new Evidence(linkPlace: 'g2', linkAt: self::JUST_NOW, pageAt: self::JUST_NOW),
            'g1',
            self::LONG_AGO,
            Place::LeftBehind,
            EvidenceKind::Page,
            null,
        ];
        yield 'page open, just sent' => [
            $page(self::JUST_NOW),
            'g1',
            self::JUST_NOW,
            Place::OnTheWay,
            EvidenceKind::Page,
            null,
        ];
        yield 'page open, long sent' => [
            $page(self::JUST_NOW),
            'g1',
            self::LONG_AGO,
            Place::LeftBehind,
            EvidenceKind::Page,
            null,
        ];
        yield 'no sign for 45 seconds' => [
            $page(self::NOW - 45_000),
            'g1',
            self::LONG_AGO,
            Place::Lost,
            EvidenceKind::Silent,
            null,
        ];
        yield 'a sign 44 seconds ago' => [
            $page(self::NOW - 44_999),
            'g1',
            self::LONG_AGO,
            Place::LeftBehind,
            EvidenceKind::Page,
            null,
        ];
        yield 'left the room a minute ago, page gone' => [
            new Evidence(null, self::NOW - 60_000, pageAt: self::NOW - 70_000),
            'g1',
            self::LONG_AGO,
            Place::Lost,
            EvidenceKind::Silent,
            null,
        ];
        yield 'left the room just now' => [
            new Evidence(null, self::JUST_NOW, pageAt: self::JUST_NOW),
            'g1',
            self::LONG_AGO,
            Place::LeftBehind,
            EvidenceKind::Page,
            null,
        ];
        yield 'without a seat' => [
            $page(self::JUST_NOW),
            null,
            self::LONG_AGO,
            Place::LeftBehind,
            EvidenceKind::NoSeat,
            null,
        ];
        yield 'without a seat, in the main session' => [
            $seen('main'),
            null,
            self::LONG_AGO,
            Place::LeftBehind,
            EvidenceKind::NoSeat,
            'main',
        ];
    }

    public function test_absent_is_excused(): void
    {
        self::assertSame(Place::Excused, Whereabouts::excused()->place);
    }

    public function test_a_student_seen_in_the_right_room_is_in_place_whatever_else_is_known(): void
    {
        foreach ([null, 1, self::JUST_NOW] as $pageAt) {
            foreach ([null, 'main', 'g2'] as $link) {
                foreach ([1, self::JUST_NOW] as $since) {
                    $evidence = new Evidence('g1', 1, $link, null === $link ? null : self::JUST_NOW, $pageAt);
                    self::assertSame(
                        Place::InPlace,
                        Whereabouts::fromEvidence($evidence, 'g1', $since, self::NOW)->place,
                    );
                }
            }
        }
    }
}
