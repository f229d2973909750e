<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Words;

use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;

/**
 * Every message of the computation has its sentence.
 */
final class WordsTest extends TestCase
{
    /** Only asked for under a name that is put together. */
    private const PUT_TOGETHER = '/^(grouping|roster|debrief|record)\.export\.|^lists\.'
        .'|^mail\.(password|invitation|class_ends)\.|^debrief\.paper\.|^record\.(paper|term)\.|^ready\.(mend|export|letter|set_up\.count)\./';

    #[DataProvider('sentences')]
    public function test_what_the_computation_says_is_said_as_a_teacher_would(
        string $sentence,
        Message $message,
    ): void {
        self::assertSame($sentence, Words::alone()->say($message));
    }

    /**
     * @return iterable<array{string, Message}>
     */
    public static function sentences(): iterable
    {
        $apart = new Message('grouping.rule.apart', ['students' => ['Ada', 'Ben', 'Chi']]);
        $shape = new Message('grouping.shape.of_sizes', ['groups' => 2, 'sizes' => [4, 5]]);
        yield [
            '“Ada, Ben and Chi apart” isn’t possible with 2 groups of 4 or 5. Remove it, or change the groups.',
            new Message('grouping.conflict.one', ['rule' => $apart, 'shape' => $shape]),
        ];
        yield [
            'With one group of at most 3 these rules conflict: “Ada, Ben and Chi apart”; “Chi in group 1”. Remove one of them.',
            new Message('grouping.conflict.several', [
                'rules' => [$apart, new Message('grouping.rule.seat', ['student' => 'Chi', 'group' => 1])],
                'shape' => new Message('grouping.shape.at_most', ['groups' => 1, 'most' => 3]),
            ]),
        ];
        yield [
            'Counting off breaks the rule “Ada, Ben and Chi apart”. Use goals and rules instead, or remove it.',
            new Message('grouping.conflict.method', ['method' => 'countOff', 'rule' => $apart]),
        ];
        yield [
            'alone: Ada (so), Ben (pl), Chi (so) and 2 more',
            new Message('grouping.obstacle.not_alone', [
                'students' => new Message('grouping.some', [
                    'names' => ['Ada (so)', 'Ben (pl)', 'Chi (so)'],
                    'more' => 2,
                ]),
            ]),
        ];
        yield [
            'not in Quayside and Millbrook; only 1 in the class',
            new Message('grouping.obstacle.each_has', [
                'groups' => new Message('grouping.some', ['names' => ['Quayside', 'Millbrook'], 'more' => 0]),
                'with' => 1,
                'enough' => 'no',
            ]),
        ];
        yield [
            'least even in Quayside and Millbrook',
            new Message('grouping.obstacle.spread_values', [
                'groups' => new Message('grouping.some', ['names' => ['Quayside', 'Millbrook'], 'more' => 0]),
            ]),
        ];
        yield [
            'born 2011; the group average is 2,010.5.',
            new Message('grouping.reason.spread', ['attribute' => 'born', 'value' => '2011', 'mean' => 2010.5]),
        ];
        yield [
            'Quayside was left with 1.',
            (new Message('grouping.moved.left', [
                'number' => 2,
                'group' => new Message('grouping.group', ['number' => 2]),
                'left' => 1,
            ]))->with(['group' => 'Quayside']),
        ];
        yield [
            'These sizes seat 6, but there is 1 student.',
            new Message('grouping.shape.sum', ['seats' => 6, 'students' => 1]),
        ];
        yield [
            '{colour} isn’t a placeholder. You can use {class} and {n}.',
            new Message('rooms.unknown_placeholder', ['placeholder' => 'colour', 'known' => ['{class}', '{n}']]),
        ];
        yield ['Back to the main session now.', new Message('live.said.back', ['seconds' => 0])];
        yield [
            'name: Ann → Anne',
            new Message('roster.change.from', [
                'what' => new Message('roster.field.name'),
                'from' => 'Ann',
                'to' => 'Anne',
            ]),
        ];
    }

    public function test_what_people_are_called_is_never_read_as_part_of_the_sentence(): void
    {
        self::assertSame(
            "Has to be with {name}, 'quoted' and #.",
            Words::alone()->say(new Message('grouping.reason.together', ['students' => ['{name}', "'quoted'", '#']])),
        );
    }

    public function test_every_sentence_that_is_asked_for_is_there_and_every_one_there_is_asked_for(): void
    {
        $there = [];
        $areas = [];
        foreach (self::catalogues() as $file) {
            $tree = (array) Yaml::parseFile($file);
            $areas = [...$areas, ...array_keys($tree)];
            $there = [...$there, ...self::codes($tree)];
        }
        $asked = [];
        foreach (['app/src', 'core/src'] as $folder) {
            foreach (
                new \RecursiveIteratorIterator(
                    new \RecursiveDirectoryIterator(
                        \dirname(__DIR__, 3).'/'.$folder,
                        \FilesystemIterator::SKIP_DOTS,
                    ),
                ) as $file
            ) {
                \assert($file instanceof \SplFileInfo);
                preg_match_all(
                    "/'((?:".implode('|', $areas).")\\.[a-z0-9_.]+[a-z0-9_])'/",
                    (string) file_get_contents($file->getPathname()),
                    $found,
                );
                $asked = [...$asked, ...$found[1]];
            }
        }
        $asked = array_values(array_unique($asked));
        self::assertGreaterThan(150, \count($asked));
        self::assertSame([], array_values(array_diff($asked, $there)), 'asked for, and not there');
        self::assertSame(
            [],
            array_values(
                array_filter(
                    array_diff($there, $asked),
                    static fn (string $code): bool => 1 !== preg_match(self::PUT_TOGETHER, $code),
                ),
            ),
            'there, and never asked for',
        );
    }

    public function test_every_sentence_is_a_message_that_can_be_read(): void
    {
        foreach (self::catalogues() as $file) {
            foreach (self::codes(Yaml::parseFile($file), withSentences: true) as $code => $sentence) {
                self::assertNotNull(\MessageFormatter::create('en', (string) $sentence), "{$code}: {$sentence}");
            }
        }
    }

    /**
     * @return list<string> files
     */
    private static function catalogues(): array
    {
        return [\dirname(__DIR__, 2).'/translations/messages+intl-icu.en.yaml'];
    }

    /**
     * @return ($withSentences is true ? array<string, string> : list<string>)
     */
    private static function codes(mixed $tree, string $under = '', bool $withSentences = false): array
    {
        if (!\is_array($tree)) {
            return $withSentences ? [$under => \is_string($tree) ? $tree : ''] : [$under];
        }
        $codes = [];
        foreach ($tree as $key => $part) {
            $codes = [...$codes, ...self::codes($part, ('' === $under ? '' : $under.'.').$key, $withSentences)];
        }

        return $codes;
    }
}
