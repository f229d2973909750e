<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Formats;

use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Grouping\Exception\UnusableProblem;
use FreshHuddle\Core\Grouping\Format\ProblemReader;
use FreshHuddle\Core\Grouping\Format\ResultWriter;
use FreshHuddle\Core\Grouping\Search\StepLimit;
use FreshHuddle\Core\Tests\Grouping\Format\ProblemReaderTest;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The JSON Schemas in docs/formats say what the engine reads and writes.
 */
final class GroupingFormatsTest extends TestCase
{
    /** What a schema cannot say: these need a look at two places of the file at once. */
    private const BEYOND_A_SCHEMA = [
        'an id twice',
        'a line break in an id',
        'sizes that do not add up',
        'a rule about a stranger',
        'a group that is not there',
        'alone with a number',
        'a wish of a stranger',
        'a wish for a stranger',
        'two seats for one',
        'absent and arriving',
    ];

    /**
     * @param array<string, mixed> $change
     */
    #[DataProvider('methods')]
    public function test_what_is_read_and_written_is_as_the_schemas_say(array $change): void
    {
        $file = ProblemReaderTest::file($change);
        self::assertTrue(Schema::allows('grouping-problem', $file));
        $problem = (new ProblemReader())->read($file);
        $result = (new ResultWriter())->write(
            $problem->method->method()->solve($problem, new StepLimit(10)),
            Words::alone()->say(...),
        );
        self::assertTrue(Schema::allows('grouping-result', $result), $result);
    }

    /**
     * @return iterable<string, array{array<string, mixed>}>
     */
    public static function methods(): iterable
    {
        $rules = [
            ['kind' => 'apart', 'students' => ['s1', 's2']],
            ['kind' => 'seat', 'student' => 's3', 'group' => 2],
        ];
        $goals = [
            ['kind' => 'spread', 'attribute' => 'level', 'weight' => 2],
            ['kind' => 'eachHas', 'tag' => 'lead'],
            ['kind' => 'wishes', 'wishes' => ['s1' => ['s4']]],
            ['kind' => 'newPartners'],
            ['kind' => 'notAlone', 'attribute' => 'flag'],
            ['kind' => 'alike', 'attribute' => 'level'],
        ];
        foreach (['balance', 'deal', 'countOff', 'byTable'] as $method) {
            yield $method => [
                ['method' => $method, 'rules' => $rules, 'goals' => $goals, 'history' => [[['s1', 's2']]]],
            ];
        }
        yield 'a rotation' => [['rounds' => 3, 'goals' => $goals]];
        yield 'a contradiction' => [['rules' => [...$rules, ['kind' => 'together', 'students' => ['s1', 's2']]]]];
        yield 'jigsaw' => [['method' => 'jigsaw', 'topics' => ['rain', 'heights', 'houses']]];
        yield 'repair' => [
            [
                'method' => 'repair',
                'shape' => null,
                'current' => [['s1', 's2'], ['s3']],
                'arrivals' => ['s4'],
                'absent' => ['s2'],
            ],
        ];
    }

    /**
     * @param array<string, mixed> $change
     */
    #[DataProvider('refused')]
    public function test_what_the_reader_refuses_the_schema_refuses(array $change): void
    {
        self::assertFalse(Schema::allows('grouping-problem', ProblemReaderTest::file($change)));
    }

    /**
     * @return iterable<string, array{array<string, mixed>}>
     */
    public static function refused(): iterable
    {
        foreach (ProblemReaderTest::unusable() as $name => [$change]) {
            if (!\in_array($name, self::BEYOND_A_SCHEMA, true) && 'a very long unknown kind' !== $name) {
                yield $name => [$change];
            }
        }
    }

    public function test_what_is_beyond_a_schema_is_refused_all_the_same(): void
    {
        foreach (ProblemReaderTest::unusable() as $name => [$change]) {
            if (\in_array($name, self::BEYOND_A_SCHEMA, true)) {
                self::assertTrue(Schema::allows('grouping-problem', ProblemReaderTest::file($change)), $name);
                try {
                    (new ProblemReader())->read(ProblemReaderTest::file($change));
                    self::fail($name);
                } catch (UnusableProblem) {
                }
            }
        }
    }
}
