<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Ready;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use PHPUnit\Framework\Attributes\DataProvider;

/**
 * Ready means that the whole lesson is: every round that is to come has its groups, its rooms and its work.
 */
final class SeveralRoundsTest extends AppTestCase
{
    /**
     * @param array<string, mixed> $way
     */
    #[DataProvider('ways')]
    public function test_one_press_sets_up_every_round_and_before_it_nothing_is_called_ready(
        array $way,
        int $rounds,
    ): void {
        $lesson = $this->planned($way);
        self::assertCount($rounds, $this->rounds($lesson));
        $findings = array_column($this->again($lesson)->list('findings'), 'check');
        self::assertContains('withoutRoom', $findings);
        self::assertContains('withoutCopy', $findings);

        $this->setUpAll($lesson);
        self::assertSame([], $this->stops($lesson));
        foreach ($this->rounds($lesson) as $segment) {
            $round = $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id')."/segments/{$segment}")->is(200);
            $groups = \count($round->list('floor.groups'));
            self::assertCount($groups, $round->list('copies'), 'each group has its copy');
            $made = array_filter(
                $round->list('rooms'),
                static fn (mixed $room): bool => \is_array($room)
                    && 'group' === $room['purpose']
                    && 'made' === $room['state'],
            );
            self::assertCount($groups, $made, 'each group has its room');
            self::assertSame([], $this->stops($lesson, $segment));
        }
        self::assertSame(0, $this->again($lesson)->int('setUpList.steps'), 'and nothing is left to do');
    }

    /**
     * @return iterable<string, array{array<string, mixed>, int}>
     */
    public static function ways(): iterable
    {
        yield 'the same groups' => [['way' => 'same', 'rounds' => 3], 3];
        yield 'rotation' => [['way' => 'rotation', 'rounds' => 3, 'size' => 3], 3];
        yield 'split' => [['way' => 'split', 'size' => 4], 2];
        yield 'snowball' => [['way' => 'snowball', 'rounds' => 2, 'size' => 2], 2];
        yield 'jigsaw' => [['way' => 'jigsaw', 'size' => 3, 'topics' => ['Rain', 'Tide', 'Wall']], 2];
    }

    public function test_what_is_missing_in_a_later_round_is_said_with_its_number_and_leads_there(): void
    {
        $lesson = $this->planned(['way' => 'rotation', 'rounds' => 3, 'size' => 3]);
        $this->setUpAll($lesson);
        [, $second] = $this->rounds($lesson);
        $round = $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id')."/segments/{$second}");
        $this->ask('POST', '/api/staff/groupings/'.$round->text('floor.id').'/edits', [
            'kind' => 'shelve',
            'student' => $round->text('floor.groups.0.students.0'),
            'basedOn' => $round->int('floor.step'),
        ])->is(200);
        $found = array_values(
            array_filter(
                $this->again($lesson)->list('findings'),
                static fn (mixed $one): bool => \is_array($one) && 'withoutSeat' === $one['check'],
            ),
        );
        self::assertCount(1, $found);
        self::assertIsArray($found[0]);
        self::assertSame([[2], $second], [$found[0]['rounds'], $found[0]['segment']]);
    }

    public function test_rounds_made_together_share_who_gets_what_until_one_is_changed(): void
    {
        $lesson = $this->planned(['way' => 'same', 'rounds' => 3]);
        $rounds = array_map(
            fn (string $segment): string => $this->ask(
                'GET',
                '/api/staff/lessons/'.$lesson->text('id')."/segments/{$segment}",
            )->text('round.id'),
            $this->rounds($lesson),
        );
        $original = $this->again($lesson)->text('handOut.0.original');
        $group = $this->again($lesson)->text('floor.groups.0.id');
        $plan = static fn (string $way): array => [
            'rows' => [
                [
                    'original' => $original,
                    'way' => 'together',
                    'variant' => '',
                    'cells' => [['group' => $group, 'way' => $way, 'variant' => '']],
                ],
            ],
            'knew' => [$original],
        ];
        $this->ask('PUT', "/api/staff/rounds/{$rounds[0]}/hand-out", $plan('read'))->is(204);
        self::assertSame(
            ['read', 'read', 'read'],
            array_map($this->cellOf(...), $this->rounds($lesson), array_fill(0, 3, $lesson)),
        );
        $this->ask('PUT', "/api/staff/rounds/{$rounds[1]}/hand-out", $plan('each'))->is(204);
        $this->ask('PUT', "/api/staff/rounds/{$rounds[0]}/hand-out", $plan('nothing'))->is(204);
        self::assertSame(
            ['nothing', 'each', 'nothing'],
            array_map($this->cellOf(...), $this->rounds($lesson), array_fill(0, 3, $lesson)),
        );
        $next = $this->ask('POST', '/api/staff/classes/'.$lesson->text('classId').'/lessons', [
            'title' => 'Next',
            'minutes' => 50,
            'from' => $lesson->text('id'),
            'groups' => 'same',
        ])->is(200);
        $this->ask('PUT', '/api/staff/rounds/'.$next->text('round.id').'/hand-out', $plan('read'))->is(204);
        self::assertSame(
            ['read', 'each', 'read'],
            array_map($this->cellOf(...), $this->rounds($next), array_fill(0, 3, $next)),
            'the next lesson shares what this one shared',
        );
    }

    public function test_rounds_share_the_time_of_the_lesson_evenly(): void
    {
        $lesson = $this->planned(['way' => 'rotation', 'rounds' => 3, 'size' => 3]);
        $order = $this->again($lesson);
        self::assertSame(0, $order->int('order.spare'));
        $minutes = [];
        foreach ($order->list('order.segments') as $segment) {
            if (\is_array($segment) && null !== $segment['round'] && \is_int($segment['minutes'])) {
                $minutes[] = $segment['minutes'];
            }
        }
        self::assertCount(3, $minutes);
        self::assertLessThanOrEqual(1, max($minutes) - min($minutes));
    }

    private function cellOf(string $segment, Json $lesson): string
    {
        return $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id')."/segments/{$segment}")->text(
            'handOut.0.cells.0.way',
        );
    }

    private function setUpAll(Json $lesson): void
    {
        $this->beginSetUp($this->again($lesson));
        $this->work();
    }

    /**
     * @return list<mixed>
     */
    private function stops(Json $lesson, ?string $segment = null): array
    {
        $view =
            null === $segment
                ? $this->again($lesson)
                : $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id')."/segments/{$segment}");

        return array_values(
            array_filter(
                $view->list('findings'),
                static fn (mixed $one): bool => \is_array($one) && 'stop' === $one['weight'],
            ),
        );
    }

    /**
     * @param array<string, mixed> $way
     */
    private function planned(array $way): Json
    {
        $lesson = $this->newLesson(9);
        $this->ask('POST', '/api/staff/groupings/'.$lesson->text('floor.id').'/deal', [
            'basedOn' => 0,
            'groups' => 3,
            'seed' => 1,
        ])->is(200);
        $this->ask(
            'POST',
            '/api/staff/rounds/'.$lesson->text('round.id').'/originals',
            self::original('District sheet', [['id' => 'decision', 'kind' => 'together', 'text' => 'Our decision']]),
        )->is(200);
        $this->ask(
            'POST',
            '/api/staff/lessons/'.$lesson->text('id').'/rounds',
            $way + ['basedOn' => $lesson->int('order.step')],
        )->is(200);

        return $this->again($lesson);
    }

    /**
     * @return list<string> segments of the rounds
     */
    private function rounds(Json $lesson): array
    {
        $segments = [];
        foreach ($this->again($lesson)->list('order.segments') as $segment) {
            if (\is_array($segment) && null !== $segment['round'] && \is_string($segment['id'])) {
                $segments[] = $segment['id'];
            }
        }

        return $segments;
    }

    private function again(Json $lesson): Json
    {
        return $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'));
    }
}
