<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Lesson;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use FreshHuddle\App\Tests\Support\MomentsJson;

/**
 * The parts of a lesson, planned and on the day.
 */
final class RunningOrderTest extends AppTestCase
{
    public function test_a_lesson_begins_with_briefing_round_and_share_out_and_every_minute_planned(): void
    {
        $lesson = $this->newLesson();
        self::assertSame([['briefing', 12], ['round', 25], ['shareOut', 13]], self::parts($lesson));
        self::assertSame(
            [0, null, $lesson->at('order.segments.0.id')],
            [$lesson->at('order.spare'), $lesson->at('order.now'), $lesson->at('order.next')],
        );
    }

    public function test_segments_are_added_reordered_and_taken_out_and_undo_brings_them_back_with_all_they_had(): void
    {
        $lesson = $this->newLesson();
        $id = $lesson->text('id');
        $segment = $lesson->text('round.segmentId');
        $this->setRound($id, ['instructions' => 'Look at the wall.', 'lookSeconds' => 7])->is(200);
        $more = $this->order($lesson, [['pause', 5], $segment, ['round', 10], ['shareOut', 5]])->is(200);
        self::assertSame([['pause', 5], ['round', 25], ['round', 10], ['shareOut', 5]], self::parts($more, ''));
        self::assertSame([1, 2], [$more->at('segments.1.round.number'), $more->at('segments.2.round.number')]);
        self::assertSame(
            $more->text('segments.1.round.groupingId'),
            $more->text('segments.2.round.groupingId'),
            'the same groups, until others are chosen',
        );
        self::assertSame(5, $more->at('spare'));

        $swapped = $this->order($lesson, [$more->text('segments.2.id'), $segment], 1)->is(200);
        self::assertSame(
            [[1, 10], [2, 25]],
            [
                [$swapped->at('segments.0.round.number'), $swapped->at('segments.0.minutes')],
                [$swapped->at('segments.1.round.number'), $swapped->at('segments.1.minutes')],
            ],
        );
        self::assertSame(15, $swapped->at('spare'));

        $without = $this->order($lesson, [$more->text('segments.2.id')], 2)->is(200);
        self::assertCount(1, $without->list('segments'));
        $back = $this->order($lesson, [$more->text('segments.0.id'), $segment, $more->text('segments.2.id')], 3)->is(
            200,
        );
        self::assertSame(
            ['Look at the wall.', 7],
            [$back->at('segments.1.instructions'), $back->at('segments.1.round.lookSeconds')],
        );
    }

    public function test_two_windows_do_not_overwrite_each_other(): void
    {
        $lesson = $this->newLesson();
        $this->order($lesson, [['pause', 5], $lesson->text('round.segmentId')])->is(200);
        $this->order($lesson, [$lesson->text('round.segmentId'), ['pause', 9]])->is(409);
    }

    public function test_what_no_lesson_can_have_is_refused_at_its_place(): void
    {
        $lesson = $this->newLesson();
        $round = $lesson->text('round.segmentId');
        self::assertSame(
            'segments',
            $this->order($lesson, [['pause', 5]])
                ->is(422)
                ->text('errors.0.field'),
        );
        self::assertSame(
            'segments[1]',
            $this->order($lesson, [$round, ['pause', 601]])
                ->is(422)
                ->text('errors.0.field'),
        );
        self::assertSame(
            'segments[1]',
            $this->order($lesson, [$round, $round])
                ->is(422)
                ->text('errors.0.field'),
        );
        self::assertSame(
            'segments[1].id',
            $this->order($lesson, [$round, $this->newLesson()->text('round.segmentId')])
                ->is(422)
                ->text('errors.0.field'),
            'one of another lesson',
        );
        self::assertSame(
            [['briefing', 12], ['round', 25], ['shareOut', 13]],
            self::parts($this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'))),
        );
    }

    public function test_a_round_that_groups_have_worked_in_and_the_segment_the_lesson_is_in_stay(): void
    {
        $lesson = $this->readyLesson();
        $id = $lesson->text('id');
        $this->setRound($id, ['lookSeconds' => 0]);
        $more = $this->order($lesson, [$lesson->text('round.segmentId'), ['round', 5], ['shareOut', 5]])->is(200);
        $this->command($id, 'sendOut')->is(200);
        $this->command($id, 'callBack', seconds: 0)->is(200);
        $this->order($lesson, [$more->text('segments.1.id')], 1)->is(409);
        $this->begin($id, $more->text('segments.2.id'))->is(200);
        $this->order($lesson, [$lesson->text('round.segmentId'), $more->text('segments.1.id')], 1)->is(409);
        $this->order($lesson, [$lesson->text('round.segmentId'), $more->text('segments.2.id')], 1)->is(200);
    }

    public function test_next_goes_from_segment_to_segment_and_from_round_to_round(): void
    {
        $lesson = $this->readyLesson();
        $id = $lesson->text('id');
        $first = $lesson->text('round.segmentId');
        $order = $this->order($lesson, [['briefing', 5], $first, ['alone', 10], ['round', 10], ['shareOut', 5]])->is(
            200,
        );
        $second = $order->text('segments.3.id');
        $this->ask('PATCH', "/api/staff/segments/{$first}", ['lookSeconds' => 0]);
        $this->ask('PATCH', "/api/staff/segments/{$second}", ['lookSeconds' => 0]);
        $ada = $this->join($lesson, $lesson->text('floor.groups.0.students.0'));

        $now = $this->begin($id, $order->text('segments.0.id'))->is(200);
        self::assertSame([$order->text('segments.0.id'), $first], [$now->at('order.now'), $now->at('order.next')]);
        self::assertSame('briefing', $this->as($ada)->at('segment.kind'));
        $this->begin($id, $first)->is(422); // a round is begun by sending groups out

        self::assertSame($first, $this->command($id, 'sendOut')->is(200)->at('order.now'));
        self::assertSame(
            ['round', $lesson->text('round.id')],
            [$this->as($ada)->at('segment.kind'), $this->as($ada)->at('round')],
        );
        self::assertStringContainsString(
            'Call everyone back',
            $this->begin($id, $order->text('segments.2.id'))->is(422)->text('title'),
        );
        $this->command($id, 'callBack', seconds: 0)->is(200);
        $this->begin($id, $order->text('segments.2.id'))->is(200);
        $alone = $this->as($ada);
        self::assertSame(
            ['alone', $lesson->text('floor.groups.0.id')],
            [$alone->at('segment.kind'), $alone->at('group.id')],
            'the group of the last round is still there to be read',
        );

        $now = $this->ask('GET', "/api/staff/lessons/{$id}");
        self::assertSame(
            [$second, 2],
            [$now->at('roundNow.segmentId'), $now->at('round.number')],
            'the page shows the round that comes next',
        );
        self::assertSame('out', $this->phase($this->send($id, $second)->is(200)));
        // straight to the first once more: nobody has to be called back to go from groups to groups
        $again = $this->send($id, $first)->is(200);
        self::assertSame([$first, 'out'], [$again->at('order.now'), $this->phase($again)]);
        self::assertSame(3, $this->db()->fetchOne('SELECT COUNT(*) FROM run WHERE lesson_id = ?', [$id]));
        self::assertSame(
            1,
            $this->db()->fetchOne('SELECT COUNT(*) FROM run WHERE lesson_id = ? AND ended_at IS NULL', [$id]),
        );
    }

    public function test_the_next_round_can_be_planned_while_groups_are_out(): void
    {
        $lesson = $this->readyLesson();
        $id = $lesson->text('id');
        $order = $this->order($lesson, [$lesson->text('round.segmentId'), ['round', 10]])->is(200);
        $this->setRound($id, ['lookSeconds' => 0]);
        $this->command($id, 'sendOut')->is(200);
        $class = $lesson->text('classId');
        $other = $this->ask('POST', "/api/staff/classes/{$class}/groupings", ['name' => 'New partners'])->text('id');
        $next = $order->text('segments.1.id');
        $this->ask('PATCH', "/api/staff/segments/{$next}", ['groupingId' => $other])->is(200);
        $this->ask('POST', "/api/staff/groupings/{$other}/deal", ['basedOn' => 0, 'groups' => 3])->is(200);
        $view = $this->ask('GET', "/api/staff/lessons/{$id}/segments/{$next}")->is(200);
        self::assertSame(
            [$other, 3, 2, 1],
            [
                $view->at('floor.id'),
                \count($view->list('floor.groups')),
                $view->at('round.number'),
                $view->at('roundNow.number'),
            ],
        );
        self::assertSame('out', $this->phase($view));
        $this->ask('PATCH', '/api/staff/segments/'.$lesson->text('round.segmentId'), ['groupingId' => $other])->is(
            409,
        );
    }

    public function test_a_lesson_begins_from_an_earlier_one_with_the_same_groups_or_new_partners(): void
    {
        $lesson = $this->readyLesson(12, 3);
        $id = $lesson->text('id');
        $class = $lesson->text('classId');
        $this->setRound($id, ['lookSeconds' => 0, 'instructions' => 'Look at the wall.']);
        $this->order($lesson, [['briefing', 8], $lesson->text('round.segmentId'), ['round', 17]])->is(200);
        $this->command($id, 'sendOut')->is(200);

        $same = $this->ask('POST', "/api/staff/classes/{$class}/lessons", [
            'title' => 'The day after',
            'minutes' => 50,
            'from' => $id,
        ])->is(200);
        self::assertSame(self::parts($this->ask('GET', "/api/staff/lessons/{$id}")), self::parts($same));
        self::assertSame(
            [$lesson->at('floor.id'), 'Look at the wall.', 0, 'District sheet'],
            [
                $same->at('floor.id'),
                $same->at('round.instructions'),
                $same->at('round.lookSeconds'),
                $same->at('handOut.0.title'),
            ],
        );
        self::assertSame([], $same->list('copies'));

        $new = $this->ask('POST', "/api/staff/classes/{$class}/lessons", [
            'title' => 'Next week',
            'minutes' => 50,
            'from' => $id,
            'groups' => 'newPartners',
        ])->is(200);
        self::assertNotSame($lesson->at('floor.id'), $new->at('floor.id'));
        self::assertSame(
            $new->at('order.segments.1.round.groupingId'),
            $new->at('order.segments.2.round.groupingId'),
            'rounds that shared their groups share the new ones',
        );
        $old = array_map(static fn (int $i): array => $lesson->texts("floor.groups.{$i}.students"), [0, 1, 2]);
        foreach ([0, 1, 2] as $i) {
            foreach ($old as $group) {
                self::assertLessThanOrEqual(
                    2,
                    \count(array_intersect($group, $new->texts("floor.groups.{$i}.students"))),
                    'twelve in three fours: of four who sat together two may meet again',
                );
            }
        }

        $other = $this->newLesson(5, '9H')->text('classId');
        $moved = $this->ask('POST', "/api/staff/classes/{$other}/lessons", [
            'title' => 'For the others',
            'minutes' => 50,
            'from' => $id,
        ])->is(200);
        self::assertSame(
            [5, '9H'],
            [
                \count(
                    array_merge(
                        ...array_map(
                            static fn (int $i): array => $moved->texts("floor.groups.{$i}.students"),
                            array_keys($moved->list('floor.groups')),
                        ),
                    ),
                ),
                $moved->at('className'),
            ],
        );
    }

    public function test_a_template_has_no_date_and_no_students_and_another_teachers_lesson_is_no_beginning(): void
    {
        $lesson = $this->newLesson();
        $template = $this->ask('POST', '/api/staff/classes/'.$lesson->text('classId').'/lessons', [
            'title' => 'Our usual Tuesday',
            'minutes' => 50,
            'from' => $lesson->text('id'),
            'template' => true,
        ])->is(200);
        self::assertSame(
            [null, true, false],
            [$template->at('startsAt'), $template->at('template'), $template->at('current')],
        );
        $this->command($template->text('id'), 'say', text: 'Is anybody here?')->is(422);
        $this->ask('POST', '/api/staff/lessons/'.$template->text('id').'/current', [])->is(422);
        $mine = $this->ask('POST', '/api/staff/classes/'.$lesson->text('classId').'/lessons', [
            'title' => 'Tuesday',
            'minutes' => 50,
            'from' => $template->text('id'),
        ])->is(200);
        self::assertFalse($mine->at('template'));
        $this->asTeacher($this->newTeacher('tomas@larkmouth.example'));
        $theirs = $this->newLesson();
        $this->ask('POST', '/api/staff/classes/'.$theirs->text('classId').'/lessons', [
            'title' => 'Not mine',
            'minutes' => 50,
            'from' => $lesson->text('id'),
        ])->is(404);
    }

    public function test_a_rotation_a_split_a_snowball_and_a_jigsaw_fill_several_rounds_in_one_press(): void
    {
        $lesson = $this->readyLesson(12, 3);
        $base = $lesson->text('floor.id');
        $rotation = $this->fill($lesson, ['way' => 'rotation', 'rounds' => 3, 'size' => 3])->is(200);
        self::assertSame(
            ['briefing', 'round', 'round', 'round', 'shareOut'],
            array_column(self::parts($rotation, ''), 0),
        );
        $met = [];
        foreach ([1, 2, 3] as $at) {
            foreach ($this->sitting($rotation->text("segments.{$at}.round.groupingId")) as $group) {
                foreach ($group as $one) {
                    foreach ($group as $other) {
                        $met[] = $one < $other ? $one.$other : null;
                    }
                }
            }
        }
        $met = array_values(array_filter($met, \is_string(...)));
        self::assertCount(36, $met);
        self::assertSame($met, array_unique($met), 'nobody meets again');

        $lesson = $this->readyLesson(12, 3);
        $split = $this->fill($lesson, ['way' => 'split', 'size' => 2])->is(200);
        self::assertSame(
            $lesson->text('floor.id'),
            $split->text('segments.2.round.groupingId'),
            'after the pairs come the groups',
        );
        $home = $this->sitting($lesson->text('floor.id'));
        foreach ($this->sitting($split->text('segments.1.round.groupingId')) as $pair) {
            self::assertCount(2, $pair);
            self::assertCount(
                1,
                array_filter($home, static fn (array $group): bool => [] === array_diff($pair, $group)),
            );
        }

        $lesson = $this->newLesson(16);
        $snowball = $this->fill($lesson, ['way' => 'snowball', 'rounds' => 3, 'size' => 2])->is(200);
        self::assertSame(
            [[8, 2], [4, 4], [2, 8]],
            array_map(
                function (int $at) use ($snowball): array {
                    $groups = $this->sitting($snowball->text("segments.{$at}.round.groupingId"));

                    return [\count($groups), \count($groups[0])];
                },
                [1, 2, 3],
            ),
        );

        $lesson = $this->newLesson(12);
        $jigsaw = $this->fill($lesson, ['way' => 'jigsaw', 'size' => 4, 'topics' => ['rain', 'money', 'houses']])->is(
            200,
        );
        self::assertCount(
            2,
            array_filter(self::parts($jigsaw, ''), static fn (array $part): bool => 'round' === $part[0]),
        );
        $this->fill($lesson, ['way' => 'jigsaw', 'size' => 4, 'topics' => ['rain']])->is(409); // changed meanwhile
        $this->fill($this->newLesson(6), ['way' => 'split', 'size' => 2])->is(422); // nothing to split yet
        self::assertNotSame($base, $rotation->text('segments.1.round.groupingId'));
    }

    /**
     * @param array<string, mixed> $how
     */
    private function fill(Json $lesson, array $how): Json
    {
        return $this->ask('POST', '/api/staff/lessons/'.$lesson->text('id').'/rounds', ['basedOn' => 0] + $how);
    }

    /**
     * @return list<list<string>>
     */
    private function sitting(string $grouping): array
    {
        $desk = $this->ask('GET', '/api/staff/groupings/'.$grouping)->is(200);

        return array_map(
            static fn (int $i): array => $desk->texts("floor.groups.{$i}.students"),
            array_keys($desk->list('floor.groups')),
        );
    }

    public function test_rounds_made_at_the_desk_come_into_the_lesson_in_their_order(): void
    {
        $lesson = $this->newLesson(6);
        $desk = $lesson->text('floor.id');
        $this->takeRounds($lesson, $desk, 3);
        $now = $this->again($lesson);
        self::assertSame(
            ['Round 1', 'Round 2', ''],
            array_map(fn (string $id): string => $this->groupingName($id), $this->groupingsOf($now)),
            'named after their place; the last is the one at the desk',
        );
        self::assertSame($desk, $this->groupingsOf($now)[2]);
        self::assertSame([[0, 1], [2, 3], [4, 5]], $this->pairs($lesson, $this->groupingsOf($now)[0]));
        self::assertSame([[2, 3], [4, 5], [0, 1]], $this->pairs($lesson, $desk));

        // Taken up once more, with a round less: the same groupings, none left over, and the lesson keeps its rounds.
        $this->takeRounds($lesson, $desk, 2);
        $again = $this->again($lesson);
        self::assertSame($this->groupingsOf($now)[0], $this->groupingsOf($again)[0]);
        self::assertSame($desk, $this->groupingsOf($again)[1]);

        // One round dealt anew by itself leaves the others alone.
        $this->ask('POST', "/api/staff/groupings/{$desk}/deal", [
            'basedOn' => $this->ask('GET', "/api/staff/groupings/{$desk}")->at('floor.step'),
            'groups' => 2,
        ])->is(200);
        self::assertSame($this->groupingsOf($again), $this->groupingsOf($this->again($lesson)));
    }

    public function test_a_lesson_made_from_the_desk_has_all_rounds_that_were_made_there(): void
    {
        $lesson = $this->newLesson(6);
        $class = $lesson->text('classId');
        $desk = $this->ask('POST', "/api/staff/classes/{$class}/groupings", ['name' => 'Partners'])->text('id');
        $this->takeRounds($lesson, $desk, 3);
        $made = $this->ask('POST', "/api/staff/classes/{$class}/lessons", [
            'title' => 'Three rounds',
            'minutes' => 50,
            'grouping' => $desk,
        ])->is(200);
        self::assertSame(
            ['Partners · Round 1', 'Partners · Round 2', 'Partners'],
            array_map(fn (string $id): string => $this->groupingName($id, ''), $this->groupingsOf($made)),
        );
        self::assertCount(1, $this->groupingsOf($this->again($lesson)), 'another lesson is left alone');
    }

    private function takeRounds(Json $lesson, string $desk, int $rounds): void
    {
        $ids = array_map(static fn (int $i): string => $lesson->text("students.{$i}.id"), range(0, 5));
        $step = $this->ask('GET', "/api/staff/groupings/{$desk}")->at('floor.step');
        $make = static function (int $round) use ($ids, $rounds): array {
            $pairs = [];
            foreach ([0, 1, 2] as $table) {
                $at = 2 * (($table + $round) % 3);
                $pairs[] = [
                    'id' => null,
                    'name' => 'Table '.($table + 1),
                    'students' => [$ids[$at], $ids[$at + 1]],
                ];
            }

            return ['name' => $round < $rounds - 1 ? 'Round '.($round + 1) : '', 'groups' => $pairs];
        };
        $rotation = array_map(static fn (int $i): array => $make($i % 2), range(0, $rounds - 1));
        $rotation[$rounds - 1] = ['name' => ''] + $make(1);
        $this->ask('POST', "/api/staff/groupings/{$desk}/take", [
            'basedOn' => $step,
            'what' => 'rotation',
            'rounds' => $rotation,
        ])->is(200);
    }

    /**
     * @return list<string> the groupings of a lesson's rounds
     */
    private function groupingsOf(Json $lesson): array
    {
        $ids = $this->db()->fetchFirstColumn(
            'SELECT grouping_id FROM round WHERE lesson_id = ? AND number IS NOT NULL ORDER BY number',
            [$lesson->text('id')],
        );

        return array_values(array_filter($ids, \is_string(...)));
    }

    private function groupingName(string $id, ?string $without = null): string
    {
        $name = $this->db()->fetchOne('SELECT name FROM grouping WHERE id = ?', [$id]);
        \assert(\is_string($name));

        return null === $without ? trim((string) preg_replace('/^[^·]*·?/u', '', $name)) : $name;
    }

    /**
     * @return list<list<int>> who sits together, by their place on the class list
     */
    private function pairs(Json $lesson, string $grouping): array
    {
        $place = [];
        foreach (range(0, 5) as $i) {
            $place[$lesson->text("students.{$i}.id")] = $i;
        }
        $floor = $this->ask('GET', "/api/staff/groupings/{$grouping}");
        $pairs = [];
        foreach (array_keys($floor->list('floor.groups')) as $i) {
            $pairs[] = array_map(
                static fn (mixed $id): int => $place[\is_string($id) ? $id : ''] ?? -1,
                $floor->list("floor.groups.{$i}.students"),
            );
        }

        return $pairs;
    }

    private function again(Json $lesson): Json
    {
        return $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'));
    }

    public function test_a_lesson_takes_up_what_was_grouped_last_and_leaves_none_over(): void
    {
        $class = $this->newLesson(8)->text('classId');
        $grouping = $this->ask('POST', "/api/staff/classes/{$class}/groupings", ['name' => 'Mixed'])->text('id');
        $make = fn (?string $with = null): Json => $this->ask('POST', "/api/staff/classes/{$class}/lessons", [
            'title' => 'Next',
            'minutes' => 40,
            'grouping' => $with,
        ]);
        self::assertSame($grouping, $make()->is(200)->text('floor.id'));
        self::assertNotSame($grouping, $make()->text('floor.id'), 'it is in use, and each lesson changes its own');
        self::assertSame($grouping, $make($grouping)->text('floor.id'), 'unless that is what the teacher asks for');
        $other = $this->newLesson(4, '9H')->text('floor.id');
        $make($other)->is(422);
    }

    /**
     * @param list<string|array{string, int}> $segments ids of those that are there, kind and minutes of new ones
     */
    private function order(Json $lesson, array $segments, int $basedOn = 0): Json
    {
        $known = [];
        foreach ($this->db()->fetchAllAssociative('SELECT id, kind, minutes FROM segment') as $row) {
            \assert(\is_string($row['id']));
            $known[$row['id']] = ['id' => $row['id'], 'kind' => $row['kind'], 'minutes' => $row['minutes']];
        }

        return $this->ask('PUT', '/api/staff/lessons/'.$lesson->text('id').'/running-order', [
            'basedOn' => $basedOn,
            'segments' => array_map(
                static fn (string|array $one): array => \is_string($one)
                    ? $known[$one]
                    : ['kind' => $one[0], 'minutes' => $one[1]],
                $segments,
            ),
        ]);
    }

    private function begin(string $lesson, string $segment): Json
    {
        return $this->ask(
            'POST',
            "/api/staff/lessons/{$lesson}/commands",
            ['kind' => 'begin', 'segment' => $segment],
            ['Idempotency-Key' => uniqid('begin-')],
        );
    }

    private function send(string $lesson, string $segment): Json
    {
        return $this->ask(
            'POST',
            "/api/staff/lessons/{$lesson}/commands",
            ['kind' => 'sendOut', 'segment' => $segment],
            ['Idempotency-Key' => uniqid('send-')],
        );
    }

    private function as(string $student): Json
    {
        $this->asStudent($student);
        $now = $this->ask('GET', '/api/student/now')->is(200);
        $this->asTeacher();

        return $now;
    }

    private function phase(Json $lesson): string
    {
        return MomentsJson::read($lesson->at('roundNow.moments'))->phase(
            (int) (microtime(true) * 1_000) + 50,
        )->value;
    }

    /**
     * @return list<array{mixed, mixed}> kind and minutes
     */
    private static function parts(Json $json, string $under = 'order.'): array
    {
        return array_map(
            static fn (int $i): array => [
                $json->at("{$under}segments.{$i}.kind"),
                $json->at("{$under}segments.{$i}.minutes"),
            ],
            array_keys($json->list($under.'segments')),
        );
    }
}
