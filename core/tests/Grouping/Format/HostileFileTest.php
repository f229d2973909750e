<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Format;

use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Exception\NoWayFound;
use FreshHuddle\Core\Grouping\Exception\UnusableProblem;
use FreshHuddle\Core\Grouping\Format\ProblemReader;
use FreshHuddle\Core\Grouping\Format\ResultWriter;
use FreshHuddle\Core\Grouping\Search\StepLimit;
use FreshHuddle\Core\Tests\Support\Plainly;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Files with anything anywhere: each is either read and solved, or refused in one line. Nothing else may come of it.
 */
final class HostileFileTest extends TestCase
{
    private const STRANGE = [
        null,
        true,
        false,
        0,
        -1,
        1,
        3,
        2.5,
        1e308,
        -1e308,
        \PHP_INT_MAX,
        \PHP_INT_MIN,
        '',
        ' ',
        'balance',
        's1',
        "a\nb",
        "\u{202E}",
        '=1+1',
        [],
        [[]],
        [null],
        ['s1'],
        ['s1', 's1'],
        [1, 2],
        [['s1'], ['s2']],
        '__proto__',
    ];

    public function test_whatever_stands_wherever_a_file_is_read_and_solved_or_refused_in_one_line(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(2_026));
        $read = $refused = 0;
        for ($try = 0; $try < 4_000; ++$try) {
            $file = self::mutated(
                self::base(['balance', 'deal', 'countOff', 'byTable', 'jigsaw', 'repair'][$try % 6]),
                $random,
                1 + ($try % 3),
            );
            try {
                $problem = (new ProblemReader())->read(json_encode($file, \JSON_THROW_ON_ERROR));
                ++$read;
                (new ResultWriter())->write(
                    $problem->method->method()->solve($problem, new StepLimit(1)),
                    Plainly::said(...),
                );
            } catch (UnusableProblem $e) {
                ++$refused;
                self::assertStringNotContainsString("\n", $e->getMessage());
                self::assertLessThan(400, mb_strlen($e->getMessage()));
            } catch (ImpossibleShape|NoWayFound) {
            }
        }
        self::assertGreaterThan(800, $read);
        self::assertGreaterThan(800, $refused);
    }

    /**
     * @return array<string, mixed>
     */
    private static function base(string $method): array
    {
        return [
            'format' => 'fresh-huddle/grouping-problem',
            'version' => 1,
            'method' => $method,
            'seed' => 3,
            'timeLimitMs' => 10,
            'rounds' => 1,
            'students' => array_map(
                static fn (int $i): array => [
                    'id' => 's'.$i,
                    'name' => 'S'.$i,
                    'table' => 'T'.$i % 3,
                    'attributes' => ['level' => $i % 3, 'language' => 'l'.$i % 2],
                    'tags' => ['lead'],
                ],
                range(1, 7),
            ),
            'shape' => ['size' => 3, 'remainder' => 'larger'],
            'rules' => [
                ['kind' => 'apart', 'students' => ['s1', 's2']],
                ['kind' => 'together', 'students' => ['s3', 's4']],
                ['kind' => 'seat', 'student' => 's5', 'group' => 1],
                ['kind' => 'notIn', 'student' => 's6', 'group' => 1],
            ],
            'goals' => [
                ['kind' => 'spread', 'attribute' => 'level', 'weight' => 2],
                ['kind' => 'notAlone', 'attribute' => 'language'],
                ['kind' => 'eachHas', 'tag' => 'lead', 'atLeast' => 1],
                ['kind' => 'wishes', 'wishes' => ['s1' => ['s2']]],
                ['kind' => 'newPartners'],
            ],
            'history' => [[['s1', 's2'], ['s3', 's4']]],
            'topics' => ['rain', 'heights'],
            'current' => [['s1', 's3', 's4'], ['s2', 's5']],
            'absent' => ['s5'],
            'arrivals' => ['s6'],
            'minSize' => 2,
            'maxSize' => 5,
        ];
    }

    /**
     * @param array<string, mixed> $file
     *
     * @return array<array-key, mixed>
     */
    private static function mutated(array $file, Randomizer $random, int $times): array
    {
        $any = $file;
        for ($i = 0; $i < $times; ++$i) {
            $any = self::oneChange($any, $random);
        }

        return $any;
    }

    /**
     * @param array<array-key, mixed> $node
     *
     * @return array<array-key, mixed>
     */
    private static function oneChange(array $node, Randomizer $random): array
    {
        if ([] === $node) {
            return $node;
        }
        $key = array_keys($node)[$random->getInt(0, \count($node) - 1)];
        $child = $node[$key];
        if (\is_array($child) && [] !== $child && 0 !== $random->getInt(0, 3)) {
            $node[$key] = self::oneChange($child, $random);

            return $node;
        }
        if (0 === $random->getInt(0, 5)) {
            $isList = array_is_list($node);
            unset($node[$key]);

            return $isList ? array_values($node) : $node;
        }
        $node[$key] = self::STRANGE[$random->getInt(0, \count(self::STRANGE) - 1)];

        return $node;
    }
}
