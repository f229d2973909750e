<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live;

/**
 * Where a student is, seen against where they should be.
 */
final readonly class Whereabouts
{
    /** Without any sign for so long a student counts as lost. Milliseconds. */
    public const LOST_AFTER = 45_000;
    /** So long everybody is on the way after a change. Milliseconds. */
    public const TIME_TO_MOVE = 30_000;

    /**
     * @param string|null $at    where they are seen, or taken to be: `main`, or the id of a group or a side room
     * @param Observability       $sight what can be known of where they are to be
     */
    private function __construct(
        public Place $place,
        public EvidenceKind $because,
        public ?string $at = null,
        public Observability $sight = Observability::Service,
    ) {
    }

    public static function excused(): self
    {
        return new self(Place::Excused, EvidenceKind::Absent);
    }

    /** Of a lesson that is over. */
    public static function wasThere(): self
    {
        return new self(Place::InPlace, EvidenceKind::Record);
    }

    /** Of a lesson that is over. */
    public static function neverCame(): self
    {
        return new self(Place::Lost, EvidenceKind::Never);
    }

    /**
     * @param string|null $expected `main` or a group's id; null for a student without a seat while groups are out
     * @param int         $since    from when they are expected there, milliseconds since 1970
     * @param int         $now      milliseconds since 1970
     * @param Observability       $sight    what can be known of who is where they are expected
     */
    public static function fromEvidence(
        Evidence $evidence,
        ?string $expected,
        int $since,
        int $now,
        Observability $sight = Observability::Service,
    ): self {
        $known = self::known($evidence, $expected, $since, $now, $sight);

        return new self($known->place, $known->because, $known->at, $sight);
    }

    private static function known(
        Evidence $evidence,
        ?string $expected,
        int $since,
        int $now,
        Observability $sight,
    ): self {
        $lastSign = $evidence->lastSign();
        if (null === $lastSign) {
            return new self(Place::Lost, EvidenceKind::Never);
        }
        // The meeting service sees rooms, so its word stands while the student is in one; it says so when they go.
        if (null !== $evidence->servicePlace) {
            return self::seenIn($evidence->servicePlace, $expected, $since, $now);
        }
        // A page lies still while its phone is in a meeting: who went in by a link of the teacher's own is taken to be
        // there.
        if (Observability::Link === $sight && null !== $expected && $evidence->linkPlace === $expected) {
            return new self(Place::InPlace, EvidenceKind::Link, $expected);
        }
        if ($now - $lastSign >= self::LOST_AFTER) {
            return new self(Place::Lost, EvidenceKind::Silent);
        }
        if (null === $expected) {
            return new self(Place::LeftBehind, EvidenceKind::NoSeat);
        }
        if (Observability::Page === $sight) {
            return new self(Place::InPlace, EvidenceKind::Page, $expected);
        }
        if ($evidence->linkPlace === $expected && $now - ($evidence->linkAt ?? 0) < self::TIME_TO_MOVE) {
            return new self(Place::OnTheWay, EvidenceKind::Link);
        }

        return new self($now - $since < self::TIME_TO_MOVE ? Place::OnTheWay : Place::LeftBehind, EvidenceKind::Page);
    }

    private static function seenIn(string $seen, ?string $expected, int $since, int $now): self
    {
        if ($seen === $expected) {
            return new self(Place::InPlace, EvidenceKind::Service, $seen);
        }
        if (null !== $expected && $now - $since < self::TIME_TO_MOVE) {
            return new self(Place::OnTheWay, EvidenceKind::Service, $seen);
        }
        if (Evidence::MAIN === $seen) {
            return new self(
                Place::LeftBehind,
                null === $expected ? EvidenceKind::NoSeat : EvidenceKind::Service,
                $seen,
            );
        }

        return new self(Place::Elsewhere, EvidenceKind::Service, $seen);
    }
}
