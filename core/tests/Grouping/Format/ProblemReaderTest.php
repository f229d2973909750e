<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Format;

use FreshHuddle\Core\Grouping\Exception\UnusableProblem;
use FreshHuddle\Core\Grouping\Format\ProblemReader;
use FreshHuddle\Core\Grouping\MethodKind;
use FreshHuddle\Core\Grouping\Problem;
use FreshHuddle\Core\Grouping\Shape\Size;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Problem files are read, and wrong ones refused with where and why.
 */
final class ProblemReaderTest extends TestCase
{
    public function test_a_whole_file_is_read(): void
    {
        $problem = self::read([
            'method' => 'deal',
            'rounds' => 2,
            'shape' => ['size' => 2, 'remainder' => 'larger'],
            'seed' => -7,
            'timeLimitMs' => 50,
            'rules' => [
                ['kind' => 'apart', 'students' => ['s1', 's2']],
                ['kind' => 'together', 'students' => ['s2', 's3']],
                ['kind' => 'seat', 'student' => 's1', 'group' => 1],
                ['kind' => 'notIn', 'student' => 's4', 'group' => 2],
            ],
            'goals' => [
                ['kind' => 'spread', 'attribute' => 'level', 'weight' => 3],
                ['kind' => 'wishes', 'wishes' => ['s1' => ['s4']]],
                ['kind' => 'newPartners', 'weight' => 0.5],
            ],
            'history' => [[['s1', 'gone'], ['s2', 's3']]],
        ]);
        self::assertSame(MethodKind::Deal, $problem->method);
        self::assertInstanceOf(Size::class, $problem->shape);
        self::assertSame(
            [2, -7, 50, 4, 3],
            [
                $problem->rounds,
                $problem->seed,
                $problem->timeLimitMs,
                \count($problem->rules),
                \count($problem->goals),
            ],
        );
        self::assertSame(['level' => 3, 'flag' => 'true'], $problem->students[0]->attributes);
        self::assertSame('A', $problem->students[0]->table);
        self::assertSame(['lead'], $problem->students[0]->tags);
    }

    public function test_repair_is_read_with_what_came_between(): void
    {
        $problem = self::read([
            'method' => 'repair',
            'shape' => null,
            'current' => [['s1', 's2'], ['s3']],
            'absent' => ['s3'],
            'arrivals' => ['s4'],
            'maxSize' => 3,
        ]);
        self::assertNull($problem->shape);
        self::assertSame([['s1', 's2'], ['s3']], $problem->disturbance?->current);
        self::assertSame([2, 3], [$problem->disturbance->minSize, $problem->disturbance->maxSize]);
    }

    /**
     * @param array<string, mixed> $change
     */
    #[DataProvider('unusable')]
    public function test_what_is_wrong_is_said_with_the_place_on_one_line(array $change, string $message): void
    {
        try {
            self::read($change);
            self::fail('Read without a word: '.$message);
        } catch (UnusableProblem $e) {
            self::assertSame($message, $e->getMessage());
            self::assertStringNotContainsString("\n", $e->getMessage());
        }
    }

    /**
     * @return iterable<string, array{array<string, mixed>, string}>
     */
    public static function unusable(): iterable
    {
        $many = array_map(static fn (int $i): array => ['id' => 's'.$i], range(1, 10_000));
        yield 'another format' => [['format' => 'x'], 'format: has to be "fresh-huddle/grouping-problem"'];
        yield 'a later version' => [['version' => 2], 'version: is 2; it has to be from 1 to 1'];
        yield 'no students' => [['students' => null], 'students: is missing'];
        yield 'ten thousand students' => [['students' => $many], 'students: holds 10000; at most 2000 are allowed'];
        yield 'an id twice' => [
            ['students' => [['id' => 's1'], ['id' => 's2'], ['id' => 's1']]],
            'students[2].id: "s1" is used twice',
        ];
        yield 'an id that is a number' => [['students' => [['id' => 1]]], 'students[0].id: has to be a text'];
        yield 'a line break in an id' => [
            ['students' => [['id' => "a\nb"], ['id' => "a\nb"]]],
            'students[1].id: "a b" is used twice',
        ];
        yield 'an attribute that is a list' => [
            ['students' => [['id' => 'a', 'attributes' => ['level' => [1]]]]],
            'students[0].attributes.level: has to be a number or a text',
        ];
        yield 'a huge attribute' => [
            ['students' => [['id' => 'a', 'attributes' => ['level' => 1e300]]]],
            'students[0].attributes.level: is beyond a million million',
        ];
        yield 'no shape' => [['shape' => null], 'shape: is missing'];
        yield 'an empty shape' => [['shape' => ['n' => 1]], 'shape: needs "groups", "size" or "sizes"'];
        yield 'no groups' => [['shape' => ['groups' => 0]], 'shape.groups: is 0; it has to be from 1 to 2000'];
        yield 'half a group' => [['shape' => ['groups' => 1.5]], 'shape.groups: has to be a whole number'];
        yield 'sizes that do not add up' => [['shape' => ['sizes' => [3, 3]]], 'shape: does not fit 4 students'];
        yield 'an unknown way with those left over' => [
            ['shape' => ['size' => 2, 'remainder' => 'drop']],
            'shape.remainder: "drop" is unknown; it has to be one of spread, larger, smaller',
        ];
        yield 'an unknown method' => [
            ['method' => 'magic'],
            'method: "magic" is unknown; it has to be one of balance, deal, countOff, byTable, jigsaw, repair, split, snowball',
        ];
        yield 'an unknown rule' => [
            ['rules' => [['kind' => 'near', 'students' => ['s1', 's2']]]],
            'rules[0].kind: "near" is unknown; it has to be one of apart, together, seat, notIn',
        ];
        yield 'a rule about a stranger' => [
            ['rules' => [['kind' => 'apart', 'students' => ['s1', 's9']]]],
            'rules[0].students[1]: "s9" is no student of this file',
        ];
        yield 'a rule about one' => [
            ['rules' => [['kind' => 'apart', 'students' => ['s1']]]],
            'rules[0].students: holds 1; at least 2 are needed',
        ];
        yield 'a rule about one twice' => [
            ['rules' => [['kind' => 'together', 'students' => ['s1', 's1']]]],
            'rules[0].students[1]: "s1" is used twice',
        ];
        yield 'a group that is not there' => [
            ['rules' => [['kind' => 'seat', 'student' => 's1', 'group' => 3]]],
            'rules[0].group: is 3; it has to be from 1 to 2',
        ];
        yield 'an unknown goal' => [
            ['goals' => [['kind' => 'nice']]],
            'goals[0].kind: "nice" is unknown; it has to be one of spread, alike, eachHas, notAlone, newPartners, wishes',
        ];
        yield 'a negative weight' => [
            ['goals' => [['kind' => 'newPartners', 'weight' => -1]]],
            'goals[0].weight: is -1; it has to be from 0 to 1,000,000',
        ];
        yield 'an enormous weight' => [
            ['goals' => [['kind' => 'newPartners', 'weight' => 1e308]]],
            'goals[0].weight: is 1.0E+308; it has to be from 0 to 1,000,000',
        ];
        yield 'alone with a number' => [
            ['goals' => [['kind' => 'notAlone', 'attribute' => 'level']]],
            'goals[0].attribute: "level" is a number; nobody is alone with a number',
        ];
        yield 'a wish of a stranger' => [
            ['goals' => [['kind' => 'wishes', 'wishes' => ['x' => ['s1']]]]],
            'goals[0].wishes.x: is no student of this file',
        ];
        yield 'a wish for a stranger' => [
            ['goals' => [['kind' => 'wishes', 'wishes' => ['s1' => ['x']]]]],
            'goals[0].wishes.s1[0]: "x" is no student of this file',
        ];
        yield 'too many rounds' => [['rounds' => 1_000], 'rounds: is 1000; it has to be from 1 to 60'];
        yield 'a jigsaw without topics' => [['method' => 'jigsaw'], 'topics: is missing'];
        yield 'a repair of nothing' => [['method' => 'repair'], 'current: is missing'];
        yield 'two seats for one' => [
            ['method' => 'repair', 'current' => [['s1'], ['s1']]],
            'current[1][0]: "s1" has a seat already',
        ];
        yield 'absent and arriving' => [
            ['method' => 'repair', 'current' => [['s1']], 'absent' => ['s2'], 'arrivals' => ['s2']],
            'arrivals[0]: "s2" is absent',
        ];
        yield 'a history that is flat' => [['history' => ['s1']], 'history[0]: has to be a list'];
        yield 'a very long unknown kind' => [
            ['goals' => [['kind' => str_repeat('x', 500)]]],
            'goals[0].kind: is longer than 40 signs',
        ];
    }

    public function test_files_that_are_no_json_too_deep_or_too_long_are_refused(): void
    {
        $messages = [];
        foreach (
            [
                '{',
                "\xFF",
                str_repeat('[', 5_000),
                '{"format":"fresh-huddle/grouping-problem","version":1,"students":'.
                str_repeat('[', 40).
                str_repeat(']', 40).
                '}',
                str_repeat(' ', 5_000_000),
                '[]',
                '"x"',
                '',
            ] as $json
        ) {
            try {
                (new ProblemReader())->read($json);
                self::fail('Read without a word.');
            } catch (UnusableProblem $e) {
                $messages[] = $e->getMessage();
            }
        }
        self::assertSame('the file has 5000000 bytes; at most 2000000 are read', $messages[4]);
        self::assertStringContainsString('depth', $messages[3]);
    }

    /**
     * @param array<string, mixed> $change null takes a member away
     */
    public static function file(array $change): string
    {
        return json_encode(
            array_filter(
                array_replace(
                    [
                        'format' => 'fresh-huddle/grouping-problem',
                        'version' => 1,
                        'students' => [
                            [
                                'id' => 's1',
                                'name' => 'Ada',
                                'table' => 'A',
                                'attributes' => ['level' => 3, 'flag' => true, 'none' => null],
                                'tags' => ['lead'],
                            ],
                            ['id' => 's2'],
                            ['id' => 's3'],
                            ['id' => 's4'],
                        ],
                        'shape' => ['groups' => 2],
                    ],
                    $change,
                ),
                static fn (mixed $value): bool => null !== $value,
            ),
            \JSON_THROW_ON_ERROR,
        );
    }

    /**
     * @param array<string, mixed> $change null takes a member away
     */
    private static function read(array $change): Problem
    {
        return (new ProblemReader())->read(self::file($change));
    }
}
