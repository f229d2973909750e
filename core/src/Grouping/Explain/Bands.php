<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Explain;

use FreshHuddle\Core\Grouping\Search\Setting;
use FreshHuddle\Core\Message;

/**
 * What each group has of an attribute, as a teacher would say it: few different values each by itself, many numbers as
 * low, middle and high (the thirds of the class).
 */
final readonly class Bands
{
    /** So many different values are spoken of one by one. */
    private const MOST_VALUES = 4;

    /**
     * @param list<Message>   $names  of the bands, the highest first
     * @param array<int, int> $bandOf student => band, without those who have no value
     */
    private function __construct(private array $names, private array $bandOf)
    {
    }

    /**
     * @return self|null null where there are too many different values, or none
     */
    public static function forAttribute(Setting $setting, string $attribute): ?self
    {
        $values = [];
        foreach ($setting->students as $i => $student) {
            $value = $student->attributes[$attribute] ?? null;
            if (null !== $value) {
                $values[$i] = $value;
            }
        }
        $called = self::called($attribute);
        $different = array_values(array_unique(array_map(strval(...), $values)));
        if (\count($different) < 2) {
            return null;
        }
        if (\count($different) <= self::MOST_VALUES) {
            rsort($different);
            $order = array_flip($different);

            return new self(
                array_map(
                    static fn (string $value): Message => new Message('grouping.band.value', [
                        'attribute' => $called,
                        'value' => $value,
                    ]),
                    $different,
                ),
                array_map(static fn (int|float|string $value): int => $order[(string) $value], $values),
            );
        }
        if (null === $setting->scores($attribute)) {
            return null;
        }
        $sorted = array_map(floatval(...), array_values($values));
        sort($sorted);
        [$low, $high] = [
            $sorted[(int) ceil(\count($sorted) / 3) - 1],
            $sorted[(int) ceil((2 * \count($sorted)) / 3) - 1],
        ];

        return new self(
            array_map(static fn (string $band): Message => new Message($band, ['attribute' => $called]), [
                'grouping.band.high',
                'grouping.band.middle',
                'grouping.band.low',
            ]),
            array_map(
                static fn (int|float|string $value): int => (float) $value <= $low
                    ? 2
                    : ((float) $value <= $high
                        ? 1
                        : 0),
                $values,
            ),
        );
    }

    /**
     * What each group has; and by name those that have more or less than their fair share, rounded down or up.
     *
     * @param array<int, list<int>> $groups
     */
    public function summary(array $groups, NameList $named): Message
    {
        $groups = array_filter($groups);
        $exceptions = $this->exceptions($groups, $named);
        $usual = array_diff_key($groups, $exceptions);
        if ([] === $usual) {
            return new Message('grouping.summary.exceptions', ['exceptions' => self::few(array_values($exceptions))]);
        }
        $parts = [];
        foreach ($this->names as $band => $name) {
            $counts = array_map(fn (array $group): int => $this->count($group, $band), $usual);
            $parts[] =
                min($counts) === max($counts)
                    ? new Message('grouping.band.exactly', ['count' => min($counts), 'band' => $name])
                    : new Message('grouping.band.between', [
                        'least' => min($counts),
                        'most' => max($counts),
                        'band' => $name,
                    ]);
        }

        return [] === $exceptions
            ? new Message('grouping.summary.each', ['bands' => $parts])
            : new Message('grouping.summary.others', [
                'bands' => $parts,
                'exceptions' => self::few(array_values($exceptions)),
            ]);
    }

    /**
     * @param array<int, list<int>> $groups
     *
     * @return array<int, Message> by group
     */
    public function exceptions(array $groups, NameList $named): array
    {
        $all = \count(array_intersect_key($this->bandOf, array_flip(array_merge([], ...array_values($groups)))));
        $exceptions = [];
        foreach ($groups as $g => $group) {
            $valued = \count(array_intersect_key($this->bandOf, array_flip($group)));
            $off = [];
            foreach ($this->names as $band => $name) {
                $share =
                    0 === $all
                        ? 0.0
                        : ($valued *
                                array_sum(array_map(fn (array $group): int => $this->count($group, $band), $groups))) /
                            $all;
                $count = $this->count($group, $band);
                if ($count < (int) floor($share + 1e-9) || $count > (int) ceil($share - 1e-9)) {
                    $off[] = new Message('grouping.band.exactly', ['count' => $count, 'band' => $name]);
                }
            }
            if ([] !== $off) {
                $exceptions[$g] = new Message('grouping.summary.exception', [
                    'group' => $named->group($g),
                    'bands' => $off,
                ]);
            }
        }

        return $exceptions;
    }

    /**
     * @param list<int> $group
     */
    private function count(array $group, int $band): int
    {
        return \count(array_filter($group, fn (int $student): bool => ($this->bandOf[$student] ?? null) === $band));
    }

    /**
     * @param list<Message> $messages
     *
     * @return list<Message>
     */
    private static function few(array $messages): array
    {
        return \array_slice($messages, 0, 3);
    }

    /**
     * In the middle of a sentence: “level”, but “SEN”.
     */
    private static function called(string $attribute): string
    {
        $second = mb_substr($attribute, 1, 1);

        return '' !== $second && mb_strtoupper($second) === $second && mb_strtolower($second) !== $second
            ? $attribute
            : mb_strtolower(mb_substr($attribute, 0, 1)).mb_substr($attribute, 1);
    }
}
