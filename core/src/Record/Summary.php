<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record;

use FreshHuddle\Core\Message;

/**
 * What happened in a lesson, in a few sentences: who was there, who was not where they should be for long, which group
 * waited longest, which was never visited, what was left unfinished.
 */
final readonly class Summary
{
    /** So long elsewhere or away is worth a word. Milliseconds. */
    public const LONG = 180_000;
    /** So long a wait is worth a word. Milliseconds. */
    public const LONG_WAIT = 30_000;

    /**
     * @return list<array{Message, string}> each with the part of the record it leads to: `strips` or `groups`; O(n)
     */
    public static function sentences(LessonRecord $record): array
    {
        $there = array_filter($record->students, static fn (StudentFigures $one): bool => null !== $one->arrivedAt);
        $missing = self::names(array_filter($record->students, static fn ($one): bool => null === $one->arrivedAt));
        $sentences = [
            [
                new Message(
                    [] === $missing ? 'record.says.all_there' : 'record.says.there',
                    ['there' => \count($there), 'all' => \count($record->students), 'names' => $missing],
                ),
                'strips',
            ],
        ];
        $astray = array_filter(
            $there,
            static fn (StudentFigures $one): bool => $one->elsewhereMs + $one->awayMs >= self::LONG,
        );
        if ([] !== $astray) {
            $names = self::names($astray);
            $sentences[] = [new Message('record.says.astray', ['n' => \count($names), 'names' => $names]), 'strips'];
        }
        $waited = array_filter($record->groups, static fn ($one): bool => $one->longestMs >= self::LONG_WAIT);
        usort($waited, static fn (GroupFigures $a, GroupFigures $b): int => $b->longestMs <=> $a->longestMs);
        if ([] !== $waited) {
            $sentences[] = [
                new Message('record.says.waited', [
                    'group' => $waited[0]->name,
                    'minutes' => (int) ceil($waited[0]->longestMs / 60_000),
                ]),
                'groups',
            ];
        }
        $unvisited = self::groups($record, static fn (GroupFigures $one): bool => 0 === $one->visits);
        if ([] !== $unvisited) {
            $all = self::groups($record, static fn (): bool => true);
            $isAll = \count($all) > 1 && \count($all) === \count($unvisited);
            $sentences[] = [
                new Message($isAll ? 'record.says.none_visited' : 'record.says.not_visited', [
                    'n' => \count($unvisited),
                    'names' => $unvisited,
                ]),
                'groups',
            ];
        }
        $unfinished = self::groups($record, static fn (GroupFigures $one): bool => $one->filled < $one->of);
        if ([] !== $unfinished) {
            $all = self::groups($record, static fn (GroupFigures $one): bool => $one->of > 0);
            $isAll = \count($all) > 1 && \count($all) === \count($unfinished);
            $sentences[] = [
                new Message($isAll ? 'record.says.none_finished' : 'record.says.unfinished', [
                    'n' => \count($unfinished),
                    'names' => $unfinished,
                ]),
                'groups',
            ];
        }

        return $sentences;
    }

    /**
     * @param array<StudentFigures> $students
     *
     * @return list<string>
     */
    private static function names(array $students): array
    {
        return array_values(array_map(static fn (StudentFigures $one): string => $one->name, $students));
    }

    /**
     * @param \Closure(GroupFigures): bool $which
     *
     * @return list<string> names, each once
     */
    private static function groups(LessonRecord $record, \Closure $which): array
    {
        return array_values(
            array_unique(
                array_map(
                    static fn (GroupFigures $one): string => $one->name,
                    array_filter(
                        $record->groups,
                        static fn (GroupFigures $one): bool => [] !== $one->students && $which($one),
                    ),
                ),
            ),
        );
    }
}
