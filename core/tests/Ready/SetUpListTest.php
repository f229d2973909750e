<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Ready;

use FreshHuddle\Core\Ready\SetUp\ActualState;
use FreshHuddle\Core\Ready\SetUp\CopyThere;
use FreshHuddle\Core\Ready\SetUp\LetterThere;
use FreshHuddle\Core\Ready\SetUp\PostThere;
use FreshHuddle\Core\Ready\SetUp\RoomThere;
use FreshHuddle\Core\Ready\SetUp\SetUpList;
use FreshHuddle\Core\Ready\SetUp\SetUpStep;
use FreshHuddle\Core\Ready\SetUp\StepKind;
use FreshHuddle\Core\Ready\SetUp\WantedCopy;
use FreshHuddle\Core\Ready\SetUp\WantedLetter;
use FreshHuddle\Core\Ready\SetUp\WantedPost;
use FreshHuddle\Core\Ready\SetUp\WantedRoom;
use FreshHuddle\Core\Ready\SetUp\WantedState;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Which steps set a lesson up, from what is there already.
 */
final class SetUpListTest extends TestCase
{
    private const NAMES = ['a' => 'Ada', 'b' => 'Ben', 'c' => 'Chi', 'd' => 'Dov'];
    private const TABLES = ['g1' => 'Group 1', 'g2' => 'Group 2'];

    public function test_where_nothing_is_there_everything_is_made_group_by_group(): void
    {
        $list = SetUpList::between($this->wanted(), new ActualState());

        self::assertSame(
            [
                'makeRoom||main',
                'makeRoom|g1|g1',
                'makeCopies|g1|o',
                'post|g1|g1',
                'makeRoom|g2|g2',
                'makeCopies|g2|o',
                'post|g2|g2',
                'send||a',
                'send||c',
            ],
            self::keys($list),
        );
        self::assertSame('ready.set_up.press', $list->summary()?->code);
        self::assertSame(
            [
                ['ready.set_up.count.rooms', 3],
                ['ready.set_up.count.copies', 3],
                ['ready.set_up.count.posts', 2],
                ['ready.set_up.count.letters', 2],
            ],
            self::counts($list),
        );
    }

    public function test_where_everything_is_as_wanted_there_is_nothing_to_do(): void
    {
        $wanted = $this->wanted();
        $list = SetUpList::between(
            $wanted,
            self::done($wanted, new ActualState(), SetUpList::between($wanted, new ActualState())->steps),
        );

        self::assertSame([], $list->steps);
        self::assertNull($list->summary());
    }

    public function test_rounds_are_set_up_together_and_what_they_share_is_done_once(): void
    {
        $one = SetUpList::between($this->wanted(), new ActualState());
        self::assertSame($one, SetUpList::join(['r1' => $one]));
        $both = SetUpList::join(['r1' => $one, 'r2' => $one]);
        $ofRooms = static fn (SetUpList $list): int => \count(
            array_filter($list->steps, static fn (SetUpStep $step): bool => StepKind::MakeRoom === $step->kind),
        );
        self::assertSame($ofRooms($one), $ofRooms($both), 'groups that stay together keep their rooms');
        self::assertCount(2 * (\count($one->steps) - $ofRooms($one)) + $ofRooms($one), $both->steps);
        self::assertCount(
            \count($both->steps),
            array_unique(array_map(static fn (SetUpStep $step): string => $step->key(), $both->steps)),
        );
        $rounds = array_map(static fn (SetUpStep $step): ?string => $step->round, $both->steps);
        $sorted = $rounds;
        sort($sorted);
        self::assertSame($sorted, $rounds, 'round by round');
        self::assertNotSame($one->digest(), $both->digest());
    }

    public function test_a_room_that_is_called_by_hand_keeps_its_name(): void
    {
        $wanted = new WantedState([new WantedRoom('g1', 'Group 1', ['a'])], names: self::NAMES, tables: self::TABLES);
        $room = static fn (bool $named): ActualState => new ActualState([
            new RoomThere('r', 'g1', 'The attic', true, people: ['a'], named: $named),
        ]);

        self::assertSame(['renameRoom|g1|r'], self::keys(SetUpList::between($wanted, $room(false))));
        self::assertSame([], self::keys(SetUpList::between($wanted, $room(true))));
    }

    public function test_who_comes_and_who_goes_is_said_by_name(): void
    {
        $wanted = new WantedState(
            [new WantedRoom('g1', 'Group 1', ['a', 'c'])],
            names: self::NAMES,
            tables: self::TABLES,
        );
        $of = static fn (string ...$people): SetUpStep => SetUpList::between(
            $wanted,
            new ActualState([new RoomThere('r', 'g1', 'Group 1', true, people: array_values($people))]),
        )->steps[0];

        self::assertSame('ready.set_up.give_access', $of('a')->says->code);
        self::assertSame('ready.set_up.take_access', $of('a', 'b', 'c')->says->code);
        self::assertSame('ready.set_up.change_access', $of('b', 'c')->says->code);
        self::assertStringContainsString('"Ada"', (string) json_encode($of('b', 'c')->says->values['in']));
        self::assertStringContainsString('"Ben"', (string) json_encode($of('b', 'c')->says->values['out']));
    }

    public function test_a_room_that_only_a_person_can_name_is_in_no_list(): void
    {
        self::assertSame(
            [],
            SetUpList::between(new WantedState([new WantedRoom('g1', 'Group 1', ['a'], false)]), new ActualState())
                ->steps,
        );
    }

    public function test_a_room_that_is_gone_from_where_it_was_is_made_again(): void
    {
        $wanted = new WantedState([new WantedRoom('g1', 'Group 1', ['a'])]);
        $list = SetUpList::between($wanted, new ActualState([new RoomThere('r', 'g1', 'Group 1', true, true, ['a'])]));

        self::assertSame(['makeRoom|g1|g1'], self::keys($list));
        self::assertSame('ready.set_up.because.room_lost', $list->steps[0]->because->code);
    }

    public function test_what_would_be_lost_is_asked_first_and_done_by_no_other_press(): void
    {
        $there = new ActualState(
            [
                new RoomThere('r1', 'x1', 'Empty', true),
                new RoomThere('r2', 'x2', 'Somebody is in it', true, inside: ['Chi']),
                new RoomThere('r3', 'x3', 'Recorded', true, recordings: 2),
                new RoomThere('r4', 'x4', 'Nobody knows', true, known: false),
            ],
            [
                new CopyThere('c1', 'o', 'Water', 'Water 1', 'x1', null, '', 1),
                new CopyThere('c2', 'o', 'Water', 'Water 2', 'x2', null, '', 1, 3),
                new CopyThere('c3', 'o', 'Water', 'Water 3', null, 'b', '', 1, 2),
                new CopyThere('c4', 'o', 'Water', 'Water 4', null, 'd', '', 1, 2, true),
            ],
        );
        $list = SetUpList::between(new WantedState(), $there);

        self::assertEqualsCanonicalizing(
            ['retireRoom|x1|r1', 'retireCopies|x1|o'],
            array_map(static fn (SetUpStep $step): string => $step->key(), $list->harmless()),
        );
        $asked = [];
        foreach ($list->steps as $step) {
            if (null !== $step->loses) {
                $asked[$step->key()] = $step->loses->code;
            }
        }
        ksort($asked);
        self::assertSame(
            [
                'retireCopies|x2|c2' => 'ready.set_up.loses.answers',
                'retireCopies||c3' => 'ready.set_up.loses.answers',
                'retireRoom|x2|r2' => 'ready.set_up.loses.people',
                'retireRoom|x3|r3' => 'ready.set_up.loses.recordings',
                'retireRoom|x4|r4' => 'ready.set_up.loses.unknown',
            ],
            $asked,
        );
    }

    public function test_copies_of_one_table_are_one_step_and_worked_in_ones_are_left_to_be_brought_by_choice(): void
    {
        $wanted = new WantedState(
            copies: array_map(
                static fn (string $student): WantedCopy => new WantedCopy('o', 'Water', 'g1', null, $student, 'v', 2),
                ['a', 'b', 'c'],
            ),
            tables: self::TABLES,
        );
        $there = new ActualState(
            copies: [
                new CopyThere('1', 'o', 'Water', '', null, 'a', 'v', 1),
                new CopyThere('2', 'o', 'Water', '', null, 'b', 'v', 1, 4),
            ],
        );
        $list = SetUpList::between($wanted, $there);

        self::assertSame(['makeCopies|g1|o', 'bringCopies|g1|o'], self::keys($list));
        self::assertSame([1, 1], array_map(static fn (SetUpStep $step): int => $step->count, $list->steps));
    }

    public function test_a_post_is_changed_for_another_audience_and_other_words_and_withdrawn_where_nobody_wants_it(): void
    {
        $of = static fn (PostThere ...$posts): SetUpList => SetUpList::between(
            new WantedState(posts: [new WantedPost('g1', ['a', 'b'], 'now')], tables: self::TABLES),
            new ActualState(posts: array_values($posts)),
        );

        self::assertSame([], self::keys($of(new PostThere('p', 'g1', 'Group 1', ['b', 'a'], 'now'))));
        self::assertSame(
            'ready.set_up.because.audience',
            $of(new PostThere('p', 'g1', 'Group 1', ['a', 'b', 'c'], 'now'))->steps[0]->because->code,
        );
        self::assertSame(
            'ready.set_up.because.post_older',
            $of(new PostThere('p', 'g1', 'Group 1', ['a', 'b'], 'before'))->steps[0]->because->code,
        );
        self::assertSame(
            ['withdraw|g9|p9'],
            self::keys(
                $of(
                    new PostThere('p', 'g1', 'Group 1', ['a', 'b'], 'now'),
                    new PostThere('p9', 'g9', 'Gone', ['d'], 'now'),
                ),
            ),
        );
    }

    public function test_who_has_been_written_is_not_written_again_until_something_is_new(): void
    {
        $of = static fn (LetterThere $letter): array => self::keys(
            SetUpList::between(
                new WantedState(letters: [new WantedLetter('a', 'ada@a.example', 'now')]),
                new ActualState(letters: [$letter]),
            ),
        );

        self::assertSame([], $of(new LetterThere('a', 'ada@a.example', 'now')));
        self::assertSame(['send||a'], $of(new LetterThere('a', 'ada@a.example', 'before')));
        self::assertSame(['send||a'], $of(new LetterThere('a', 'old@a.example', 'now')));
        self::assertSame(
            [],
            $of(new LetterThere('a', 'ada@a.example', 'before', false)),
            'it would come back once more',
        );
        self::assertSame(['send||a'], $of(new LetterThere('a', 'wrong@a.example', 'now', false)));
    }

    public function test_whatever_is_there_the_list_brings_it_to_what_is_wanted_and_the_next_list_is_empty(): void
    {
        for ($seed = 0; $seed < 400; ++$seed) {
            $dice = new Randomizer(new Xoshiro256StarStar($seed));
            $wanted = $this->anyWanted($dice);
            $there = $this->anyThere($dice);
            $list = SetUpList::between($wanted, $there);

            self::assertSame($list->digest(), SetUpList::between($wanted, $there)->digest());
            self::assertCount(\count($list->steps), array_unique(self::keys($list)), 'each step once');
            self::assertSame(
                [],
                self::keys(SetUpList::between($wanted, self::done($wanted, $there, $list->steps))),
                "seed {$seed}",
            );

            // Broken off anywhere and begun again, it ends as it would have.
            $half = self::done($wanted, $there, \array_slice($list->steps, 0, $dice->getInt(0, \count($list->steps))));
            $rest = SetUpList::between($wanted, $half);
            self::assertSame(
                [],
                self::keys(SetUpList::between($wanted, self::done($wanted, $half, $rest->steps))),
                "seed {$seed}",
            );
            self::assertSame(
                [],
                array_diff(self::keys($rest), self::keys($list)),
                "seed {$seed}: nothing that was not in the list before",
            );

            // Nothing that anybody has written is touched by the one press.
            $after = self::done($wanted, $there, $list->harmless());
            foreach ($there->copies as $copy) {
                self::assertTrue(
                    0 === $copy->answers
                        || \in_array(
                            $copy->id,
                            array_map(static fn (CopyThere $one): string => $one->id, $after->copies),
                            true,
                        ),
                    "seed {$seed}",
                );
            }
        }
    }

    private function wanted(): WantedState
    {
        return new WantedState(
            [
                new WantedRoom('main', '7B', ['a', 'b', 'c', 'd', 't']),
                new WantedRoom('g1', '7B · Group 1', ['a', 'b', 't']),
                new WantedRoom('g2', '7B · Group 2', ['c', 'd', 't']),
            ],
            [
                new WantedCopy('o', 'Water', 'g1', 'g1', null, '', 1),
                new WantedCopy('o', 'Water', 'g2', null, 'c', '', 1),
                new WantedCopy('o', 'Water', 'g2', null, 'd', '', 1),
            ],
            [new WantedPost('g1', ['a', 'b'], 'one'), new WantedPost('g2', ['c', 'd'], 'two')],
            [new WantedLetter('a', 'ada@a.example', 'x'), new WantedLetter('c', 'chi@a.example', 'y')],
            self::NAMES + ['t' => 'Ms Tau'],
            self::TABLES,
        );
    }

    private function anyWanted(Randomizer $dice): WantedState
    {
        $rooms = $copies = $posts = $letters = [];
        foreach (['main', 'g1', 'g2', 'g3'] as $place) {
            if ($dice->getInt(0, 3) > 0) {
                $rooms[] = new WantedRoom(
                    $place,
                    'Room '.$dice->getInt(1, 3),
                    self::people($dice),
                    $dice->getInt(0, 4) > 0,
                );
            }
        }
        foreach (['o', 'p'] as $original) {
            foreach (['g1', 'g2', 'g3'] as $group) {
                if ($dice->getInt(0, 2) > 0) {
                    $copies[] = new WantedCopy(
                        $original,
                        "Title {$original}",
                        $group,
                        $group,
                        null,
                        '',
                        $dice->getInt(1, 2),
                    );
                }
            }
        }
        foreach (['g1', 'g2', 'g3'] as $group) {
            if ($dice->getInt(0, 1) > 0) {
                $posts[] = new WantedPost($group, self::people($dice), 'd'.$dice->getInt(1, 2));
            }
        }
        foreach (array_keys(self::NAMES) as $student) {
            if ($dice->getInt(0, 1) > 0) {
                $letters[] = new WantedLetter($student, "{$student}@a.example", 'd'.$dice->getInt(1, 2));
            }
        }

        return new WantedState($rooms, $copies, $posts, $letters, self::NAMES, [
            'g1' => 'One',
            'g2' => 'Two',
            'g3' => 'Three',
        ]);
    }

    private function anyThere(Randomizer $dice): ActualState
    {
        $rooms = $copies = $posts = $letters = [];
        foreach (['main', 'g1', 'g2', 'g4'] as $place) {
            if ($dice->getInt(0, 2) > 0) {
                $rooms[] = new RoomThere(
                    "r{$place}",
                    $place,
                    'Room '.$dice->getInt(1, 3),
                    $dice->getInt(0, 3) > 0,
                    0 === $dice->getInt(0, 5),
                    self::people($dice),
                    0 === $dice->getInt(0, 4),
                    0 === $dice->getInt(0, 4) ? ['Ada'] : [],
                    $dice->getInt(0, 1),
                );
            }
        }
        foreach (['o', 'p', 'q'] as $original) {
            foreach (['g1', 'g2', 'g4'] as $group) {
                if ($dice->getInt(0, 2) > 0) {
                    $copies[] = new CopyThere(
                        "{$original}{$group}",
                        $original,
                        "Title {$original}",
                        "Copy {$original}{$group}",
                        $group,
                        null,
                        '',
                        $dice->getInt(1, 2),
                        max(0, $dice->getInt(-2, 3)),
                    );
                }
            }
        }
        foreach (['g1', 'g3', 'g4'] as $group) {
            if ($dice->getInt(0, 1) > 0) {
                $posts[] = new PostThere("p{$group}", $group, $group, self::people($dice), 'd'.$dice->getInt(1, 2));
            }
        }
        foreach (array_keys(self::NAMES) as $student) {
            if ($dice->getInt(0, 1) > 0) {
                $letters[] = new LetterThere(
                    $student,
                    "{$student}@a.example",
                    'd'.$dice->getInt(1, 2),
                    $dice->getInt(0, 3) > 0,
                );
            }
        }

        return new ActualState($rooms, $copies, $posts, $letters);
    }

    /**
     * @return list<string>
     */
    private static function people(Randomizer $dice): array
    {
        return array_values(
            array_filter(array_keys(self::NAMES), static fn (string $id): bool => $dice->getInt(0, 1) > 0),
        );
    }

    /**
     * What is there once these steps are done: a world as plain as the list.
     *
     * @param list<SetUpStep> $steps
     */
    private static function done(WantedState $wanted, ActualState $there, array $steps): ActualState
    {
        $rooms = $copies = $posts = $letters = [];
        foreach ($there->rooms as $room) {
            $rooms[$room->place] = $room;
        }
        foreach ($there->copies as $copy) {
            $copies[$copy->key()] = $copy;
        }
        foreach ($there->posts as $post) {
            $posts[$post->group] = $post;
        }
        foreach ($there->letters as $letter) {
            $letters[$letter->student] = $letter;
        }
        foreach ($steps as $step) {
            switch ($step->kind) {
                case StepKind::MakeRoom:
                case StepKind::RenameRoom:
                case StepKind::ChangeMembers:
                    $place = $step->group ?? 'main';
                    $want = self::first(
                        array_filter($wanted->rooms, static fn (WantedRoom $one): bool => $one->place === $place),
                    );
                    $was = $rooms[$place] ?? null;
                    $rooms[$place] = new RoomThere(
                        $was->id ?? "r{$place}",
                        $place,
                        StepKind::ChangeMembers === $step->kind || ($was->named ?? false)
                            ? $was->name ?? $want->name
                            : $want->name,
                        true,
                        people: StepKind::RenameRoom === $step->kind ? $was->people ?? [] : $want->people,
                        named: $was->named ?? false,
                    );
                    break;
                case StepKind::MakeCopies:
                case StepKind::BringCopies:
                    foreach ($wanted->copies as $want) {
                        $is = $copies[$want->key()] ?? null;
                        if (
                            $want->original === $step->subject
                            && $want->table === $step->group
                            && (StepKind::MakeCopies === $step->kind) === (null === $is)
                        ) {
                            $copies[$want->key()] = new CopyThere(
                                $is->id ?? $want->key(),
                                $want->original,
                                $want->title,
                                '',
                                $want->group,
                                $want->student,
                                $want->variant,
                                $want->version,
                                $is->answers ?? 0,
                            );
                        }
                    }
                    break;
                case StepKind::RetireRoom:
                    $rooms = array_filter($rooms, static fn (RoomThere $room): bool => $room->id !== $step->subject);
                    break;
                case StepKind::RetireCopies:
                    $copies = array_filter(
                        $copies,
                        static fn (CopyThere $copy): bool => !\in_array($copy->id, $step->ids, true),
                    );
                    break;
                case StepKind::Post:
                case StepKind::ChangePost:
                    $want = self::first(
                        array_filter($wanted->posts, static fn (WantedPost $one): bool => $one->group === $step->group),
                    );
                    $posts[$want->group] = new PostThere(
                        $posts[$want->group]->id ?? "p{$want->group}",
                        $want->group,
                        $want->group,
                        $want->audience,
                        $want->digest,
                    );
                    break;
                case StepKind::Withdraw:
                    $posts = array_filter($posts, static fn (PostThere $post): bool => $post->id !== $step->subject);
                    break;
                case StepKind::Send:
                    $want = self::first(
                        array_filter(
                            $wanted->letters,
                            static fn (WantedLetter $one): bool => $one->student === $step->subject,
                        ),
                    );
                    $letters[$want->student] = new LetterThere($want->student, $want->address, $want->digest);
            }
        }

        return new ActualState(
            array_values($rooms),
            array_values($copies),
            array_values($posts),
            array_values($letters),
        );
    }

    /**
     * @template T
     *
     * @param array<T> $things
     *
     * @return T
     */
    private static function first(array $things): mixed
    {
        return array_values($things)[0] ?? throw new \LogicException('A step for what nobody wants.');
    }

    /**
     * @return list<string>
     */
    private static function keys(SetUpList $list): array
    {
        return array_map(static fn (SetUpStep $step): string => $step->key(), $list->steps);
    }

    /**
     * @return list<array{string, mixed}>
     */
    private static function counts(SetUpList $list): array
    {
        $counts = [];
        $parts = $list->summary()->values['what'] ?? [];
        foreach (\is_array($parts) ? $parts : [] as $part) {
            if ($part instanceof \FreshHuddle\Core\Message) {
                $counts[] = [$part->code, $part->values['count'] ?? null];
            }
        }

        return $counts;
    }
}
