<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms;

/**
 * How a student comes into the room of their group.
 */
enum WayIn: string
{
    /** There is no room, or it is not made yet. */
    case None = 'none';
    /** It is a place in the building. */
    case Place = 'place';
    /** It opens in this page. */
    case Here = 'here';
    /** By a press. */
    case Press = 'press';
    /** By a press, and it has to be opened for the others, who wait. */
    case Open = 'open';
    /** Somebody of the group opens it first. */
    case Wait = 'wait';

    /**
     * @param SourceKind|null       $source   null where there is no room
     * @param string                $openedBy the role of whoever opens rooms; '' where nobody has to
     * @param array<string, string> $roles    of everybody of the group who is here, by student; '' for none
     * @param string                $me       the student
     * @param int|null              $openedAt when the room was last said to be open, milliseconds since 1970
     * @param int                   $since    what was opened before has been closed since
     */
    public static function forStudent(
        ?SourceKind $source,
        string $openedBy,
        array $roles,
        string $me,
        ?int $openedAt,
        int $since,
    ): self {
        if (null === $source) {
            return self::None;
        }
        if ($source->isHere()) {
            return self::Here;
        }
        if (!$source->hasLink()) {
            return self::Place;
        }
        if (!$source->mayNeedOpening() || '' === $openedBy || ($openedAt ?? 0) >= $since) {
            return self::Press;
        }
        $openers = self::openers($openedBy, $roles);

        return [] === $openers || \in_array($me, $openers, true) ? self::Open : self::Wait;
    }

    /**
     * Who of a group opens its room. Where nobody who is here has the role, whoever comes first does.
     *
     * @param array<string, string> $roles by student
     *
     * @return list<string> students
     */
    public static function openers(string $openedBy, array $roles): array
    {
        $wanted = mb_convert_case(trim($openedBy), \MB_CASE_FOLD);

        return array_map(
            strval(...),
            array_keys(
                array_filter(
                    $roles,
                    static fn (string $role): bool => mb_convert_case(trim($role), \MB_CASE_FOLD) === $wanted,
                ),
            ),
        );
    }
}
