<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Grouping;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;

/**
 * The Groups page: groups by number or size, changed by hand, undone.
 */
final class GroupingDeskTest extends AppTestCase
{
    private string $path;

    /** @var list<string> */
    private array $students;

    protected function setUp(): void
    {
        parent::setUp();
        $lesson = $this->newLesson(17);
        $this->path = '/api/staff/groupings/'.$lesson->text('floor.id');
        $this->students = array_map(static fn (int $i): string => $lesson->text("students.{$i}.id"), range(0, 16));
    }

    public function test_a_class_is_dealt_by_number_and_by_size(): void
    {
        self::assertSame([5, 4, 4, 4], self::sizes($this->deal(0, ['groups' => 4])));
        self::assertSame([3, 3, 3, 3, 3, 2], self::sizes($this->deal(1, ['size' => 3])));
        self::assertSame([4, 4, 3, 3, 3], self::sizes($this->deal(2, ['size' => 3, 'remainder' => 'larger'])));
    }

    public function test_the_same_seed_deals_the_same(): void
    {
        $once = $this->deal(0, ['groups' => 4, 'seed' => 11]);
        $other = $this->deal(1, ['groups' => 4, 'seed' => 12]);
        $again = $this->deal(2, ['groups' => 4, 'seed' => 11]);
        self::assertSame($once->texts('groups.0.students'), $again->texts('groups.0.students'));
        self::assertNotSame($once->texts('groups.0.students'), $other->texts('groups.0.students'));
    }

    public function test_moves_are_undone_and_redone_in_order_and_outlive_a_reload(): void
    {
        $floor = $this->deal(0, ['groups' => 2, 'seed' => 1]);
        $one = $floor->text('groups.0.students.0');
        $moved = $this->edit(1, ['kind' => 'seat', 'student' => $one, 'group' => $floor->text('groups.1.id')]);
        self::assertContains($one, $moved->texts('groups.1.students'));
        self::assertSame(['seat', null], [$moved->at('undo'), $moved->at('redo')]);
        $undone = $this->ask('POST', $this->path.'/undo', ['basedOn' => 2])->is(200);
        self::assertSame($floor->at('groups'), $undone->at('groups'));
        self::assertSame('seat', $undone->text('redo'));
        $redone = $this->ask('POST', $this->path.'/redo', ['basedOn' => 1])->is(200);
        self::assertSame($moved->at('groups'), $redone->at('groups'));
        $this->ask('POST', $this->path.'/undo', ['basedOn' => 2]);
        $this->ask('POST', $this->path.'/undo', ['basedOn' => 1]);
        $this->ask('POST', $this->path.'/undo', ['basedOn' => 0])->is(409);
    }

    public function test_a_new_move_after_an_undo_takes_the_place_of_what_was_undone(): void
    {
        $floor = $this->deal(0, ['groups' => 2, 'seed' => 1]);
        $this->ask('POST', $this->path.'/undo', ['basedOn' => 1]);
        $this->edit(0, ['kind' => 'addTable']);
        $this->ask('POST', $this->path.'/redo', ['basedOn' => 1])->is(409);
        self::assertCount(2, $floor->list('groups'));
    }

    public function test_a_change_made_on_an_older_floor_is_refused_and_nothing_is_lost(): void
    {
        $floor = $this->deal(0, ['groups' => 2]);
        $this->edit(1, ['kind' => 'shelve', 'student' => $this->students[0]]);
        $this->ask('POST', $this->path.'/edits', [
            'basedOn' => 1,
            'kind' => 'shelve',
            'student' => $this->students[1],
        ])->is(409);
        $this->ask('POST', $this->path.'/deal', ['basedOn' => 1, 'groups' => 3])->is(409);
        self::assertCount(2, $floor->list('groups'));
    }

    public function test_fixed_seats_stay_and_absent_students_are_not_dealt(): void
    {
        $floor = $this->deal(0, ['groups' => 4, 'seed' => 3]);
        $fixed = $floor->text('groups.2.students.1');
        $absent = $floor->text('groups.0.students.0');
        $this->edit(1, ['kind' => 'fix', 'student' => $fixed]);
        $this->ask('PATCH', "/api/staff/students/{$absent}", ['absent' => true]);
        $again = $this->deal(2, ['groups' => 4, 'seed' => 4]);
        self::assertContains($fixed, $again->texts('groups.2.students'));
        self::assertSame([$fixed], $again->texts('fixed'));
        self::assertStringNotContainsString($absent, $again->raw);
        self::assertSame(16, array_sum(self::sizes($again)));
    }

    public function test_names_of_groups_are_given_and_are_not_doubled(): void
    {
        $floor = $this->deal(0, ['groups' => 2]);
        $group = $floor->text('groups.0.id');
        self::assertSame(
            'Quayside',
            $this->edit(1, ['kind' => 'rename', 'group' => $group, 'name' => ' Quayside '])->text('groups.0.name'),
        );
        $this->ask('POST', $this->path.'/edits', [
            'basedOn' => 2,
            'kind' => 'rename',
            'group' => $floor->text('groups.1.id'),
            'name' => 'quayside',
        ])->is(422);
        $this->ask('POST', $this->path.'/edits', [
            'basedOn' => 2,
            'kind' => 'rename',
            'group' => $group,
            'name' => '',
        ])->is(422);
    }

    public function test_nonsense_is_refused_at_the_right_field(): void
    {
        self::assertSame(
            'groups',
            $this->ask('POST', $this->path.'/deal', ['basedOn' => 0])
                ->is(422)
                ->text('errors.0.field'),
        );
        $this->ask('POST', $this->path.'/deal', ['basedOn' => 0, 'groups' => 2, 'size' => 3])->is(422);
        $this->ask('POST', $this->path.'/deal', ['basedOn' => 0, 'groups' => 0])->is(422);
        $this->ask('POST', $this->path.'/deal', ['basedOn' => 0, 'groups' => 401])->is(422);
        $this->ask('POST', $this->path.'/edits', ['basedOn' => 0, 'kind' => 'explode'])->is(422);
        $this->ask('POST', $this->path.'/edits', ['basedOn' => 0, 'kind' => 'seat'])->is(422);
        $this->ask('POST', $this->path.'/edits', [
            'basedOn' => 0,
            'kind' => 'seat',
            'student' => 'me',
            'group' => 'you',
        ])->is(422);
        $stranger = $this->newLesson(2, '8A')->text('students.0.id');
        $this->ask('POST', $this->path.'/edits', ['basedOn' => 0, 'kind' => 'shelve', 'student' => $stranger])->is(
            422,
        );
    }

    /**
     * @param array<string, mixed> $more
     */
    private function deal(int $basedOn, array $more): Json
    {
        return $this->ask('POST', $this->path.'/deal', ['basedOn' => $basedOn] + $more)->is(200);
    }

    /**
     * @param array<string, mixed> $more
     */
    private function edit(int $basedOn, array $more): Json
    {
        return $this->ask('POST', $this->path.'/edits', ['basedOn' => $basedOn] + $more)->is(200);
    }

    /**
     * @return list<int>
     */
    private static function sizes(Json $floor): array
    {
        return array_map(
            static fn (int $i): int => \count($floor->list("groups.{$i}.students")),
            array_keys($floor->list('groups')),
        );
    }
}
