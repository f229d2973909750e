<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\SetUp;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Said;
use FreshHuddle\Core\Rooms\MainSession;

/**
 * Everything that has to be done so that what is there is as it is wanted, before anything of it happens. What was
 * shown is what is done: the digest says whether a list is still the one that was shown.
 */
final readonly class SetUpList
{
    /** Rooms belong to groups and the class, whatever rounds they are in. */
    private const OF_ROOMS = [
        StepKind::MakeRoom,
        StepKind::RenameRoom,
        StepKind::ChangeMembers,
        StepKind::RetireRoom,
    ];

    /**
     * @param list<SetUpStep> $steps in the order in which they are done: what is made, group by group; then what is
     *     sent; what goes last
     */
    private function __construct(public array $steps)
    {
    }

    /**
     * Complexity: O(n log n) in the number of rooms, members, copies, posts and letters.
     */
    public static function between(WantedState $wanted, ActualState $there): self
    {
        $steps = [...self::rooms($wanted, $there), ...self::copies($wanted, $there), ...self::posts($wanted, $there)];
        $order = array_flip(array_map(strval(...), array_keys($wanted->tables)));
        $rank = static fn (SetUpStep $step): int => null === $step->group ? -1 : $order[$step->group] ?? \PHP_INT_MAX;
        usort(
            $steps,
            static fn (SetUpStep $a, SetUpStep $b): int => [self::last($a), $rank($a)] <=> [self::last($b), $rank($b)],
        );
        $going = \count($steps);
        while ($going > 0 && 1 === self::last($steps[$going - 1])) {
            --$going;
        }

        return new self([
            ...\array_slice($steps, 0, $going),
            ...self::letters($wanted, $there),
            ...\array_slice($steps, $going),
        ]);
    }

    /**
     * The lists of several rounds as one: what they have in common, as the main session and the rooms of groups that
     * stay together, is done once. What is made and sent comes round by round, what goes comes last.
     *
     * @param array<string, self> $lists by id of the round, in the order of the rounds
     *
     * Complexity: O(n) in the number of steps
     */
    public static function join(array $lists): self
    {
        if (1 === \count($lists)) {
            return array_values($lists)[0];
        }
        $steps = $going = $seen = [];
        foreach ($lists as $round => $list) {
            foreach ($list->steps as $step) {
                $key = $step->key();
                if (\in_array($step->kind, self::OF_ROOMS, true)) {
                    if (isset($seen[$key])) {
                        continue;
                    }
                    $seen[$key] = true;
                }
                1 === self::last($step) ? ($going[] = $step->forRound($round)) : ($steps[] = $step->forRound($round));
            }
        }

        return new self([...$steps, ...$going]);
    }

    /**
     * @return list<SetUpStep> those that are done by one press: nothing is lost by them
     */
    public function harmless(): array
    {
        return array_values(array_filter($this->steps, static fn (SetUpStep $step): bool => null === $step->loses));
    }

    /**
     * @return string 32 hexadecimal digits; the same for lists that do the same, whatever is lost by it: that each step
     *                asks for itself
     */
    public function digest(): string
    {
        return hash(
            'xxh128',
            json_encode(
                array_map(
                    static fn (SetUpStep $step): array => [$step->key(), $step->says, $step->count, $step->ids],
                    $this->steps,
                ),
                \JSON_THROW_ON_ERROR,
            ),
        );
    }

    /**
     * What one press does, in numbers.
     *
     * @return Message|null null: nothing
     */
    public function summary(): ?Message
    {
        $counts = [];
        foreach ($this->harmless() as $step) {
            $what = match ($step->kind) {
                StepKind::MakeRoom => 'rooms',
                StepKind::MakeCopies => 'copies',
                StepKind::Post => 'posts',
                StepKind::Send => 'letters',
                default => 'changes',
            };
            $counts[$what] = ($counts[$what] ?? 0) + $step->count;
        }
        if ([] === $counts) {
            return null;
        }
        $parts = [];
        foreach (['rooms', 'copies', 'posts', 'letters', 'changes'] as $what) {
            if (isset($counts[$what])) {
                $parts[] = new Message('ready.set_up.count.'.$what, ['count' => $counts[$what]]);
            }
        }

        return new Message('ready.set_up.press', ['what' => $parts]);
    }

    /**
     * @return list<SetUpStep>
     */
    private static function rooms(WantedState $wanted, ActualState $there): array
    {
        $steps = $has = [];
        foreach ($there->rooms as $room) {
            $has[$room->place] = $room;
        }
        foreach ($wanted->rooms as $room) {
            $actual = $has[$room->place] ?? null;
            $group = MainSession::PLACE === $room->place ? null : $room->place;
            unset($has[$room->place]);
            if (null === $actual || !$actual->made || $actual->lost) {
                if ($room->byUs) {
                    $because =
                        null === $actual || !$actual->made
                            ? 'ready.set_up.because.no_room'
                            : 'ready.set_up.because.room_lost';
                    $steps[] = new SetUpStep(
                        StepKind::MakeRoom,
                        $group,
                        $room->place,
                        new Message('ready.set_up.make_room', ['room' => $room->name]),
                        new Message($because),
                    );
                }
                continue;
            }
            array_push($steps, ...self::changes($room, $actual, $group, $wanted->names));
        }
        array_push($steps, ...array_map(self::retired(...), array_values($has)));

        return $steps;
    }

    /**
     * What is not as wanted of a room that is there.
     *
     * @param array<array-key, string> $names of students, by id
     *
     * @return list<SetUpStep>
     */
    private static function changes(WantedRoom $room, RoomThere $roomThere, ?string $group, array $names): array
    {
        $steps = [];
        if ($roomThere->name !== $room->name && !$roomThere->named) {
            $steps[] = new SetUpStep(
                StepKind::RenameRoom,
                $group,
                $roomThere->id,
                new Message('ready.set_up.rename_room', ['room' => $roomThere->name, 'name' => $room->name]),
                new Message('ready.set_up.because.renamed'),
            );
        }
        $in = array_values(array_diff($room->people, $roomThere->people));
        $out = array_values(array_diff($roomThere->people, $room->people));
        if ([] === $in && [] === $out) {
            return $steps;
        }
        $says = match (true) {
            [] === $out => 'ready.set_up.give_access',
            [] === $in => 'ready.set_up.take_access',
            default => 'ready.set_up.change_access',
        };
        $name = static fn (string $id): string => $names[$id] ?? '?';
        $who = [
            'room' => $roomThere->name,
            'in' => Said::some(array_map($name, $in)),
            'out' => Said::some(array_map($name, $out)),
        ];
        $steps[] = new SetUpStep(
            StepKind::ChangeMembers,
            $group,
            $roomThere->id,
            new Message($says, $who),
            new Message('ready.set_up.because.members'),
        );

        return $steps;
    }

    private static function retired(RoomThere $room): SetUpStep
    {
        return new SetUpStep(
            StepKind::RetireRoom,
            MainSession::PLACE === $room->place ? null : $room->place,
            $room->id,
            new Message('ready.set_up.retire_room', ['room' => $room->name]),
            new Message('ready.set_up.because.table_gone'),
            loses: match (true) {
                !$room->known => new Message('ready.set_up.loses.unknown'),
                [] !== $room->inside => new Message('ready.set_up.loses.people', [
                    'names' => $room->inside,
                    'count' => \count($room->inside),
                ]),
                $room->recordings > 0 => new Message('ready.set_up.loses.recordings', [
                    'count' => $room->recordings,
                ]),
                default => null,
            },
        );
    }

    /**
     * @return list<SetUpStep>
     */
    private static function copies(WantedState $wanted, ActualState $there): array
    {
        $has = $missing = $older = [];
        foreach ($there->copies as $copy) {
            $has[$copy->key()] = $copy;
        }
        foreach ($wanted->copies as $copy) {
            $actual = $has[$copy->key()] ?? null;
            unset($has[$copy->key()]);
            $cell = "{$copy->table}|{$copy->original}";
            if (null === $actual) {
                $missing[$cell][] = $copy;
            } elseif (
                0 === $actual->answers
                && ($actual->version !== $copy->version || $actual->variant !== $copy->variant)
            ) {
                // one that somebody has worked in is brought up to date by choice, page by page
                $older[$cell][] = $copy;
            }
        }
        $steps = [];
        foreach ($missing as $copies) {
            $goesOn = [] !== array_filter($copies, static fn (WantedCopy $copy): bool => $copy->earlier);
            $steps[] = self::ofCopies(
                StepKind::MakeCopies,
                'ready.set_up.make_copies',
                $goesOn ? 'ready.set_up.because.last_time' : 'ready.set_up.because.no_copy',
                $copies,
            );
        }
        foreach ($older as $copies) {
            $steps[] = self::ofCopies(
                StepKind::BringCopies,
                'ready.set_up.bring_copies',
                'ready.set_up.because.older',
                $copies,
            );
        }

        return [...$steps, ...self::strayCopies($has)];
    }

    /**
     * @param array<string, CopyThere> $copies that nobody wants
     *
     * @return list<SetUpStep>
     */
    private static function strayCopies(array $copies): array
    {
        $steps = $stray = [];
        foreach ($copies as $copy) {
            if (!$copy->waits) {
                $stray["{$copy->group}|{$copy->original}|".($copy->answers > 0 ? $copy->id : '')][] = $copy;
            }
        }
        foreach ($stray as $alike) {
            $first = $alike[0];
            $answers = array_sum(array_map(static fn (CopyThere $copy): int => $copy->answers, $alike));
            $steps[] = new SetUpStep(
                StepKind::RetireCopies,
                $first->group,
                // One that is asked about is asked about by itself.
                $answers > 0 ? $first->id : $first->original,
                1 === \count($alike)
                    ? new Message('ready.set_up.retire_copy', ['copy' => $first->name])
                    : new Message('ready.set_up.retire_copies', [
                        'count' => \count($alike),
                        'title' => $first->title,
                    ]),
                new Message('ready.set_up.because.nobody_gets_it'),
                \count($alike),
                array_map(static fn (CopyThere $copy): string => $copy->id, $alike),
                $answers > 0 ? new Message('ready.set_up.loses.answers', ['count' => $answers]) : null,
            );
        }

        return $steps;
    }

    /**
     * @param non-empty-list<WantedCopy> $copies
     */
    private static function ofCopies(StepKind $kind, string $says, string $because, array $copies): SetUpStep
    {
        return new SetUpStep(
            $kind,
            $copies[0]->table,
            $copies[0]->original,
            new Message($says, ['count' => \count($copies), 'title' => $copies[0]->title]),
            new Message($because),
            \count($copies),
        );
    }

    /**
     * @return list<SetUpStep>
     */
    private static function posts(WantedState $wanted, ActualState $there): array
    {
        $steps = $has = [];
        foreach ($there->posts as $post) {
            $has[$post->group] = $post;
        }
        foreach ($wanted->posts as $post) {
            $actual = $has[$post->group] ?? null;
            unset($has[$post->group]);
            $values = ['group' => $wanted->tables[$post->group] ?? '', 'count' => \count($post->audience)];
            if (null === $actual) {
                $steps[] = new SetUpStep(
                    StepKind::Post,
                    $post->group,
                    $post->group,
                    new Message('ready.set_up.post', $values),
                    new Message('ready.set_up.because.not_posted'),
                );
            } elseif (!self::same($actual->audience, $post->audience)) {
                $steps[] = new SetUpStep(
                    StepKind::ChangePost,
                    $post->group,
                    $post->group,
                    new Message('ready.set_up.change_post', $values),
                    new Message('ready.set_up.because.audience'),
                );
            } elseif ($actual->digest !== $post->digest) {
                $steps[] = new SetUpStep(
                    StepKind::ChangePost,
                    $post->group,
                    $post->group,
                    new Message('ready.set_up.change_post', $values),
                    new Message('ready.set_up.because.post_older'),
                );
            }
        }
        foreach ($has as $post) {
            $steps[] = new SetUpStep(
                StepKind::Withdraw,
                $post->group,
                $post->id,
                new Message('ready.set_up.withdraw', ['group' => $post->name]),
                new Message('ready.set_up.because.not_wanted'),
            );
        }

        return $steps;
    }

    /**
     * @return list<SetUpStep>
     */
    private static function letters(WantedState $wanted, ActualState $there): array
    {
        $steps = $has = [];
        foreach ($there->letters as $letter) {
            $has[$letter->student] = $letter;
        }
        foreach ($wanted->letters as $letter) {
            $actual = $has[$letter->student] ?? null;
            $isSameAddress = null !== $actual && $actual->address === $letter->address;
            if ($isSameAddress && (!$actual->arrived || $actual->digest === $letter->digest)) {
                continue; // to an address that refuses it once more is of no use
            }
            $because =
                null === $actual
                    ? 'ready.set_up.because.not_written'
                    : ($isSameAddress
                        ? 'ready.set_up.because.letter_older'
                        : 'ready.set_up.because.other_address');
            $steps[] = new SetUpStep(
                StepKind::Send,
                null,
                $letter->student,
                new Message('ready.set_up.send', [
                    'name' => $wanted->names[$letter->student] ?? '',
                    'address' => $letter->address,
                ]),
                new Message($because),
            );
        }

        return $steps;
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     */
    private static function same(array $a, array $b): bool
    {
        return [] === array_diff($a, $b) && [] === array_diff($b, $a);
    }

    /**
     * @return 0|1 what goes is done last
     */
    private static function last(SetUpStep $step): int
    {
        return \in_array($step->kind, [StepKind::RetireRoom, StepKind::RetireCopies, StepKind::Withdraw], true)
            ? 1
            : 0;
    }
}
