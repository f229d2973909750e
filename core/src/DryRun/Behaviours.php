<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun;

/**
 * What simulated students are like: all that is drawn, and from which distributions. The figures are a careful guess at
 * an ordinary class, not a study: what a rehearsal says of a lesson is as good as they are.
 */
final class Behaviours
{
    private const SECOND = 1_000;
    private const MINUTE = 60_000;

    /**
     * @param string $name    as it stands on the list
     * @param int    $minutes of the lesson: a line that is cut is cut within them
     * @param bool   $isYoung they cannot read yet: they need longer for everything
     *
     * @return Behaviour the same for the same seed, student and lesson
     */
    public static function draw(int $seed, string $student, string $name, int $minutes, bool $isYoung): Behaviour
    {
        $draw = Draw::for($seed, $student);
        $slower = $isYoung ? 2.0 : 1.0;

        return new Behaviour(
            types: TypedName::draw($name, $draw),
            arrivesAt: self::arrival($draw),
            // Most do what they are told within five seconds; one in six needs eight.
            reacts: $slower * $draw->around(4.0, 0.6),
            // Every tenth student misses one message in five; the others, one in fifty.
            overlooks: $slower * ($draw->chance(0.1) ? 0.2 : 0.02),
            strays: $slower * ($draw->chance(0.1) ? 0.1 : 0.01),
            // Reading on a screen, silently, for meaning: around 150 words a minute at twelve.
            reads: $draw->around(150.0, 0.3) / $slower,
            // Typing while composing is far slower than copying: around two letters a second.
            writes: $draw->around(2.0, 0.4) / $slower,
            thinks: $slower * $draw->around(25.0, 0.5),
            // A question in twenty-five minutes of work that nobody of the group can answer; four of ten are asked.
            stuck: $draw->around(25.0, 0.5),
            calls: 0.4,
            // Off with something else once in half an hour; every tenth once in eight minutes.
            wanders: $draw->chance(0.1) ? 8.0 : 30.0,
            cuts: self::cuts($draw, $minutes),
            isSilent: $draw->chance(0.07),
            secondAt: $draw->chance(0.04) ? $draw->between(0, 10 * self::MINUTE) : null,
        );
    }

    /**
     * How long somebody is off with something else.
     *
     * @return int milliseconds
     */
    public static function away(Draw $draw): int
    {
        return (int) (self::SECOND * (20 + $draw->waiting(60)));
    }

    /**
     * How long somebody is stuck whom nobody helps.
     *
     * @return int milliseconds
     */
    public static function stuckFor(Draw $draw): int
    {
        return (int) (self::SECOND * $draw->around(240, 0.5));
    }

    /**
     * How many letters an answer has.
     *
     * @param int $meant as the place asks for; 0: it does not say
     */
    public static function letters(Draw $draw, int $meant): int
    {
        return max(1, (int) $draw->around($meant > 0 ? $meant : 60, 0.5));
    }

    /** Six of ten are there before it begins, three come in the first minutes, one much later or not at all. */
    private static function arrival(Draw $draw): ?int
    {
        $who = $draw->part();

        return match (true) {
            $who < 0.6 => -$draw->between(0, 2 * self::MINUTE),
            $who < 0.9 => (int) (self::SECOND * $draw->waiting(50)),
            $who < 0.97 => $draw->between(3 * self::MINUTE, 12 * self::MINUTE),
            default => null,
        };
    }

    /**
     * One line in twelve is cut in a lesson, most for some ten seconds; one in ten of these for good.
     *
     * @return list<array{int, ?int}>
     */
    private static function cuts(Draw $draw, int $minutes): array
    {
        if (!$draw->chance(1 / 12)) {
            return [];
        }
        $from = $draw->between(0, max(1, $minutes) * self::MINUTE);

        return [[$from, $draw->chance(0.1) ? null : $from + (int) (self::SECOND * (5 + $draw->waiting(30)))]];
    }
}
