<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Record;

use FreshHuddle\Core\Record\Correction\Correction;
use FreshHuddle\Core\Record\Correction\Corrections;
use FreshHuddle\Core\Record\Correction\Figure;
use FreshHuddle\Core\Record\Exception\UnusablePoints;
use FreshHuddle\Core\Record\LessonRecord;
use FreshHuddle\Core\Record\Points\PointsKind;
use FreshHuddle\Core\Record\Points\PointsPart;
use FreshHuddle\Core\Record\Points\PointsRule;
use FreshHuddle\Core\Record\Recorder;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Points a teacher gives for taking part, by a rule of their own.
 */
final class PointsTest extends TestCase
{
    /** Ada was in place for 500 of 700 ms, wrote 30, was called on once and answered 2 of 3. */
    public function test_each_part_asks_for_at_least_so_much(): void
    {
        $met = static fn (PointsKind $kind, int $atLeast): bool => (new PointsPart($kind, $atLeast, 1))
            ->isMet(Recorder::record(RecorderTest::facts())->students[0], new Corrections([]));
        self::assertSame([true, false], [$met(PointsKind::InPlace, 71), $met(PointsKind::InPlace, 72)]);
        self::assertSame([true, false], [$met(PointsKind::Wrote, 30), $met(PointsKind::Wrote, 31)]);
        self::assertSame([true, false], [$met(PointsKind::Answered, 2), $met(PointsKind::Answered, 3)]);
        self::assertSame([true, false], [$met(PointsKind::CalledOn, 1), $met(PointsKind::CalledOn, 2)]);
    }

    public function test_the_sum_is_of_the_parts_that_are_met(): void
    {
        $rule = new PointsRule([
            new PointsPart(PointsKind::InPlace, 50, 4),
            new PointsPart(PointsKind::InPlace, 90, 8),
            new PointsPart(PointsKind::Wrote, 1, 1),
        ]);
        $points = $rule->points(Recorder::record(RecorderTest::facts())->students[0], new Corrections([]));
        self::assertSame([5, [true, false, true]], [$points->sum, $points->met]);
        self::assertSame(13, $rule->most());
    }

    public function test_a_corrected_figure_counts_instead_of_the_computed_one_and_only_for_whom_it_is(): void
    {
        [$ada, $ben] = Recorder::record(RecorderTest::facts())->students;
        $corrections = new Corrections([new Correction('ben', Figure::InPlace, 700, 'ines', 0)]);
        $part = new PointsPart(PointsKind::InPlace, 100, 1);
        self::assertTrue($part->isMet($ben, $corrections));
        self::assertFalse($part->isMet($ada, $corrections));
        self::assertSame(0, Figure::InPlace->computed($ben));
    }

    public function test_whoever_was_to_be_in_no_group_was_not_in_place(): void
    {
        $facts = RecorderTest::facts();
        $record = Recorder::record(new \FreshHuddle\Core\Record\Facts(0, 1, [], [], $facts->students));
        self::assertFalse(
            (new PointsPart(PointsKind::InPlace, 1, 1))->isMet($record->students[0], new Corrections([])),
        );
    }

    public function test_a_rule_that_cannot_be_is_refused_with_its_field(): void
    {
        $field = static function (\Closure $make): string {
            try {
                $make();
            } catch (UnusablePoints $e) {
                return $e->field;
            }

            return '';
        };
        self::assertSame('atLeast', $field(static fn (): PointsPart => new PointsPart(PointsKind::InPlace, 101, 1)));
        self::assertSame('atLeast', $field(static fn (): PointsPart => new PointsPart(PointsKind::Wrote, 0, 1)));
        self::assertSame('points', $field(static fn (): PointsPart => new PointsPart(PointsKind::Wrote, 1, 101)));
        $part = new PointsPart(PointsKind::Wrote, 1, 1);
        self::assertSame('parts', $field(static fn (): PointsRule => new PointsRule(array_fill(0, 9, $part))));
    }

    /**
     * @return array{Corrections, PointsRule} drawn, the same for the same record
     */
    public static function anyRule(LessonRecord $record): array
    {
        $chance = new Randomizer(new Xoshiro256StarStar($record->facts->endedAt));
        $parts = $corrections = [];
        foreach (PointsKind::cases() as $kind) {
            for ($i = $chance->getInt(0, 2); $i > 0; --$i) {
                $parts[] = new PointsPart($kind, $chance->getInt(1, min(50, $kind->most())), $chance->getInt(1, 9));
            }
        }
        foreach ($record->students as $student) {
            foreach (Figure::cases() as $figure) {
                if (0 === $chance->getInt(0, 5)) {
                    $corrections[] = new Correction($student->student, $figure, $chance->getInt(0, 99), 'ines', 5);
                }
            }
        }

        return [new Corrections($corrections), new PointsRule($parts)];
    }
}
