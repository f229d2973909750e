<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Export;

use FreshHuddle\App\Print\Marks;
use FreshHuddle\Core\Record\GroupFigures;
use FreshHuddle\Core\Record\LessonRecord;
use FreshHuddle\Core\Record\StripCode;
use FreshHuddle\Core\Record\StripKind;
use FreshHuddle\Core\Record\StudentFigures;

/**
 * The pictures of a printed record, as addresses a page can hold (SVG). They are read without colours, too: kinds of
 * places differ in height and depth.
 */
final class RecordPicture
{
    private const INK = '#1c2333';
    private const MAIN = '#e4e2da';
    private const LINE = '#b9bcc4';
    private const ELSEWHERE = '#8a4b00';
    /** Where on a strip of 10 each kind is drawn: from, height. */
    private const HEIGHTS = [
        'main' => [2.5, 5],
        'group' => [0, 10],
        'sideRoom' => [0, 10],
        'elsewhere' => [7, 3],
        'away' => [9.6, 0.4],
    ];

    /**
     * Where a student was, on the time of the lesson; darkest where they wrote.
     *
     * @param list<int> $wrote when, milliseconds since 1970
     */
    public static function strip(LessonRecord $record, StudentFigures $student, array $wrote): string
    {
        $facts = $record->facts;
        $marks = [];
        foreach ($record->groups as $group) {
            $marks[$group->group] = $group->mark;
        }
        $length = max(1, $facts->endedAt - $facts->begunAt);
        $at = static fn (int $moment): float => 1_000 * ($moment - $facts->begunAt) / $length;
        $svg = '';
        foreach ($student->strip as $span) {
            $mark = $marks[$span->group ?? ''] ?? null;
            $svg .= self::span($span->kind->value, $at($span->from), $at($span->to), $mark);
        }
        $width = 1_000 / StripCode::PARTS;
        foreach (StripCode::parts($wrote, $facts->begunAt, $facts->endedAt) as $part) {
            $svg .= self::rect($part * $width, 5.5, $width, 4.5, self::INK);
        }

        return self::address(1_000, 10, $svg);
    }

    /**
     * What stands in the key under the strips.
     *
     * @param string $kind of StripKind, or `wrote`
     */
    public static function sample(string $kind): string
    {
        return self::address(
            100,
            10,
            'wrote' === $kind ? self::rect(0, 5.5, 100, 4.5, self::INK) : self::span($kind, 0, 100, 0),
        );
    }

    /**
     * How much of its work a group had filled in, over the time of its round.
     */
    public static function progress(LessonRecord $record, GroupFigures $group): string
    {
        foreach ($record->facts->runs as $run) {
            if ($run->round !== $group->round) {
                continue;
            }
            $path = 'M0 20';
            $y = 20.0;
            foreach ($record->facts->progress as $step) {
                if ($step->group === $group->group && $step->at < $run->to) {
                    $x = 200 * max(0, $step->at - $run->from) / max(1, $run->to - $run->from);
                    $y = 20 - 19 * $step->filled / max(1, $step->of);
                    $path .= \sprintf('H%.1FV%.1F', $x, $y);
                }
            }

            return self::address(
                200,
                20,
                \sprintf('<path d="%sH200V20Z" fill="%s"/>', $path, Marks::tint($group->mark, 0.4)).
                    self::rect(0, 19.6, 200, 0.4, self::INK),
            );
        }

        return self::address(200, 20, '');
    }

    /**
     * A part of the whole.
     *
     * @param int $share per cent
     */
    public static function bar(int $mark, int $share): string
    {
        return self::address(
            100,
            10,
            self::rect(0, 0, 100, 10, self::MAIN).self::rect(0, 0, $share, 10, Marks::colour($mark)),
        );
    }

    private static function span(string $kind, float $from, float $to, ?int $mark): string
    {
        [$y, $height] = self::HEIGHTS[$kind];
        $fill = match (StripKind::from($kind)) {
            StripKind::Main => self::MAIN,
            StripKind::Group => null === $mark ? self::MAIN : Marks::tint($mark, 0.45),
            StripKind::SideRoom => self::LINE,
            StripKind::Elsewhere => self::ELSEWHERE,
            StripKind::Away => self::LINE,
        };

        return self::rect($from, $y, $to - $from, $height, $fill);
    }

    private static function rect(float $x, float $y, float $width, float $height, string $fill): string
    {
        return \sprintf('<rect x="%.2F" y="%.2F" width="%.2F" height="%.2F" fill="%s"/>', $x, $y, $width, $height, $fill);
    }

    private static function address(int $width, int $height, string $svg): string
    {
        return 'data:image/svg+xml;base64,'.
            base64_encode(
                \sprintf(
                    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 %1$d %2$d" width="%1$d" height="%2$d" '.
                        'preserveAspectRatio="none">%3$s</svg>',
                    $width,
                    $height,
                    $svg,
                ),
            );
    }
}
