<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Grouping;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;

/**
 * The next lesson with new partners really has them, whatever way its groups were made; groups that are mixed are mixed
 * by what a teacher would check.
 */
final class NewPartnersTest extends AppTestCase
{
    /**
     * @param array<string, mixed> $settings
     */
    #[DataProvider('waysOfGrouping')]
    public function test_partners_are_new_in_the_next_lesson_and_it_says_how_many(array $settings): void
    {
        $lesson = $this->newLesson(12);
        $class = $lesson->text('classId');
        foreach (array_keys($lesson->list('students')) as $i) {
            $this->ask('PATCH', '/api/staff/students/'.$lesson->text("students.{$i}.id"), [
                'table' => 'T'.intdiv($i, 3),
                'attributes' => [['name' => 'Level', 'value' => (string) ($i % 3)]],
            ])->is(204);
        }
        $grouping = $lesson->text('floor.id');
        $this->ask('PATCH', "/api/staff/groupings/{$grouping}", ['settings' => $settings])->is(200);
        $proposal = $this->ask('POST', "/api/staff/groupings/{$grouping}/propose", [
            'settings' => $settings,
            'seed' => 3,
        ])->is(200);
        $this->ask('POST', "/api/staff/groupings/{$grouping}/take", [
            'basedOn' => 0,
            'what' => $settings['method'],
            'rounds' => $proposal->list('rounds'),
        ])->is(200);
        $met = [];
        $this->remember($this->again($lesson), $met);
        // Planned, and not even held.
        for ($next = 1; $next <= 2; ++$next) {
            $lesson = $this->ask('POST', "/api/staff/classes/{$class}/lessons", [
                'title' => "Lesson {$next}",
                'minutes' => 50,
                'from' => $lesson->text('id'),
                'groups' => 'newPartners',
            ])->is(200);
            $again = $this->remember($lesson, $met);
            if (1 === $next) {
                self::assertSame(0, $again, 'twelve in threes can all have new partners');
                self::assertSame('All 12 pairs are new partners.', $lesson->text('partners'));
            }
        }
    }

    /**
     * @return iterable<string, array{array<string, mixed>}>
     */
    public static function waysOfGrouping(): iterable
    {
        yield 'at random' => [['method' => 'deal', 'shape' => 'groups', 'groups' => 4]];
        yield 'by goals' => [
            [
                'method' => 'balance',
                'shape' => 'size',
                'size' => 3,
                'goals' => [['kind' => 'spread', 'attribute' => 'Level']],
            ],
        ];
        yield 'counted off' => [['method' => 'countOff', 'shape' => 'groups', 'groups' => 4]];
        yield 'by table' => [['method' => 'byTable']];
    }

    public function test_the_quick_way_mixes_a_class_that_has_a_level_and_offers_chance_in_one_press(): void
    {
        $lesson = $this->newLesson(12);
        self::assertNull($lesson->at('mixBy'));
        self::assertSame('Put 12 students into random groups', $this->finding($lesson)['press']);
        foreach (array_keys($lesson->list('students')) as $i) {
            $this->ask('PATCH', '/api/staff/students/'.$lesson->text("students.{$i}.id"), [
                'attributes' => [
                    ['name' => 'Reading level', 'value' => (string) intdiv($i, 4)],
                    ['name' => 'Age', 'value' => (string) (12 + ($i % 2))],
                ],
            ])->is(204);
        }
        $lesson = $this->again($lesson);
        self::assertSame('Reading level', $lesson->text('mixBy'));
        $finding = $this->finding($lesson);
        self::assertSame(
            ['Put 12 students into groups mixed by Reading level', 'dealAtRandom', 'Use random groups instead'],
            [$finding['press'], $finding['other'], $finding['otherPress']],
        );
        $floor = $this->ask('POST', '/api/staff/groupings/'.$lesson->text('floor.id').'/deal', [
            'basedOn' => 0,
            'groups' => 4,
            'mix' => 'Reading level',
        ])->is(200);
        $level = [];
        foreach (array_keys($lesson->list('students')) as $i) {
            $level[$lesson->text("students.{$i}.id")] = intdiv($i, 4);
        }
        foreach (array_keys($floor->list('groups')) as $g) {
            $here = array_map(
                static fn (string $student): int => $level[$student],
                $floor->texts("groups.{$g}.students"),
            );
            sort($here);
            self::assertSame([0, 1, 2], $here, 'one of each level in each group');
        }
    }

    #[TestWith([0])]
    #[TestWith([1])]
    public function test_a_late_student_gets_no_seat_where_nobody_is(int $full): void
    {
        $lesson = $this->newLesson(8);
        $grouping = $lesson->text('floor.id');
        $this->ask('POST', "/api/staff/groupings/{$grouping}/deal", ['basedOn' => 0, 'groups' => 2, 'seed' => 1])->is(
            200,
        );
        $floor = $this->again($lesson);
        // One is late; their group is smaller by now, but nobody of it has come.
        $late = $floor->text('floor.groups.'.(1 - $full).'.students.3');
        $this->ask('POST', "/api/staff/groupings/{$grouping}/edits", [
            'kind' => 'shelve',
            'student' => $late,
            'basedOn' => 1,
        ])->is(200);
        $this->join($lesson, $floor->text("floor.groups.{$full}.students.0"));
        $repair = $this->ask('POST', "/api/staff/groupings/{$grouping}/repair", [])->is(200);
        self::assertSame($floor->text("floor.groups.{$full}.name"), $repair->text('arrivals.0.to'));
    }

    /**
     * @return array<array-key, mixed>
     */
    private function finding(Json $lesson): array
    {
        $finding = $lesson->at('findings.0');
        self::assertIsArray($finding);
        self::assertSame('noGroups', $finding['check']);

        return $finding;
    }

    /**
     * @param array<string, true> $met pairs that have been together
     *
     * @return int how many are together again
     */
    private function remember(Json $lesson, array &$met): int
    {
        $again = 0;
        foreach (array_keys($lesson->list('floor.groups')) as $g) {
            $students = $lesson->texts("floor.groups.{$g}.students");
            sort($students);
            foreach ($students as $at => $one) {
                foreach (\array_slice($students, $at + 1) as $other) {
                    $again += isset($met["{$one}|{$other}"]) ? 1 : 0;
                    $met["{$one}|{$other}"] = true;
                }
            }
        }

        return $again;
    }

    private function again(Json $lesson): Json
    {
        return $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'));
    }
}
