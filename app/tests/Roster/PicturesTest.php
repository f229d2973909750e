<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Roster;

use FreshHuddle\App\Print\Marks;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;

/**
 * Children who cannot read yet have a picture each, by which they find their name, their slip and each other.
 */
final class PicturesTest extends AppTestCase
{
    public function test_everybody_has_a_picture_of_their_own_and_keeps_it_when_others_come_and_go(): void
    {
        $lesson = $this->young();
        $class = $lesson->text('classId');
        $before = $this->pictures($class);
        self::assertSame(range(0, 5), array_values($before));
        $gone = (string) array_key_first($before);
        $this->ask('DELETE', "/api/staff/students/{$gone}")->is(204);
        $this->ask('POST', "/api/staff/classes/{$class}/import", ['text' => "Name\nNewcomer\nAnother"])->is(200);
        $after = $this->pictures($class);
        self::assertSame(
            \array_slice($before, 1, null, true),
            array_intersect_key($after, $before),
            'who stays keeps theirs',
        );
        self::assertCount(7, array_unique($after), 'and no two have the same');
        $this->ask('POST', "/api/staff/students/{$gone}/restore");
        self::assertCount(
            \count($this->pictures($class)),
            array_unique($this->pictures($class)),
            'nor when somebody comes back whose picture another has by now',
        );
    }

    public function test_it_stands_at_the_door_on_the_page_beside_the_others_and_on_the_slip(): void
    {
        $lesson = $this->young();
        $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'));
        $door = $this->ask('GET', '/api/student/classes/'.rawurlencode($lesson->text('doorWord')))->is(200);
        self::assertSame(range(0, 5), array_column($door->list('names'), 'picture'));
        $slips = $this->ask('GET', '/api/staff/rounds/'.$lesson->text('round.id').'/paper')
            ->is(200)
            ->list('slips');
        self::assertNotContains(null, array_column($slips, 'picture'));
        self::assertStringStartsWith('%PDF', $this->pdf($lesson));
        $me = $lesson->text('floor.groups.0.students.0');
        $device = $this->join($lesson, $me);
        $this->setRound($lesson->text('id'), ['lookSeconds' => 0]);
        $this->command($lesson->text('id'), 'sendOut')->is(200);
        $this->asStudent($device);
        $now = $this->ask('GET', '/api/student/now')->is(200);
        self::assertSame($this->pictures($lesson->text('classId'))[$me], $now->at('young.picture'));
        self::assertSame('cy-GB', $now->text('young.language'));
        self::assertNotContains(null, array_column($now->list('group.members'), 'picture'));
    }

    public function test_where_they_read_there_is_nothing_of_it(): void
    {
        $lesson = $this->readyLesson();
        $device = $this->join($lesson, $lesson->text('floor.groups.0.students.0'));
        $this->asStudent($device);
        self::assertNull($this->ask('GET', '/api/student/now')->at('young'));
        $this->asTeacher();
        self::assertSame(
            [],
            array_filter(
                array_column(
                    $this->ask('GET', '/api/staff/rounds/'.$lesson->text('round.id').'/paper')->list('slips'),
                    'picture',
                ),
                \is_int(...),
            ),
        );
        $this->ask('PATCH', '/api/staff/classes/'.$lesson->text('classId').'/door', [
            'language' => 'Welsh, please',
        ])->is(422);
    }

    public function test_past_the_last_picture_they_begin_again_in_another_colour(): void
    {
        $all = array_map(Marks::picture(...), range(0, 575));
        self::assertCount(576, array_unique($all));
    }

    private function young(): Json
    {
        $lesson = $this->readyLesson();
        $this->ask('PATCH', '/api/staff/classes/'.$lesson->text('classId').'/door', [
            'cannotReadYet' => true,
            'names' => true,
            'language' => 'cy-GB',
        ])->is(200);

        return $lesson;
    }

    /**
     * @return array<array-key, int> by student
     */
    private function pictures(string $class): array
    {
        $this->asTeacher();

        return array_filter(
            array_column(
                $this->ask('GET', "/api/staff/classes/{$class}")
                    ->is(200)
                    ->list('students'),
                'picture',
                'id',
            ),
            \is_int(...),
        );
    }

    private function pdf(Json $lesson): string
    {
        $this->ask('GET', '/api/staff/rounds/'.$lesson->text('round.id').'/paper/slips.pdf');

        return (string) $this->client->getResponse()->getContent();
    }
}
