<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Moving;

use FreshHuddle\Core\Live\EvidenceKind;
use FreshHuddle\Core\Live\Observability;
use FreshHuddle\Core\Live\Place;
use FreshHuddle\Core\Live\Whereabouts;

/**
 * What one press can do for a student who is not where they should be.
 */
enum Help: string
{
    /** Their page says it once more, large. */
    case Remind = 'remind';
    /** The meeting service moves them, and their page says so. */
    case Take = 'take';
    /** Page, room and a message, again and again until they are there. */
    case Fetch = 'fetch';

    /** Milliseconds between one time and the next. */
    public const AGAIN_AFTER = 15_000;
    /** So often at most. */
    public const MOST_TIMES = 5;

    /**
     * Who is seen in a wrong room is taken out of it; whose page is open is reminded by it; of whom nothing is heard
     * any more everything is tried. Who never came, has no seat or is on the way cannot be helped so.
     */
    public static function for(Whereabouts $where): ?self
    {
        return match (true) {
            !\in_array($where->place, [Place::Elsewhere, Place::LeftBehind, Place::Lost], true),
            EvidenceKind::Never === $where->because,
            EvidenceKind::NoSeat === $where->because => null,
            Place::Lost === $where->place => self::Fetch,
            null !== $where->at && Observability::Service === $where->sight => self::Take,
            default => self::Remind,
        };
    }

    /**
     * Whether the meeting service is asked to move them.
     */
    public function moves(): bool
    {
        return self::Remind !== $this;
    }
}
