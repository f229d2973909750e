<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Grouping;

use FreshHuddle\App\Grouping\Proposal\GroupCommand;
use FreshHuddle\Core\Tests\Grouping\Format\ProblemReaderTest;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Console\Tester\CommandTester;

/**
 * bin/console huddle:group, as a school would script it.
 */
final class GroupCommandTest extends TestCase
{
    public function test_a_problem_in_a_result_out_and_nothing_on_standard_error(): void
    {
        $tester = $this->group(ProblemReaderTest::file(['seed' => 3]));
        self::assertSame(0, $tester->getStatusCode());
        self::assertSame('', $tester->getErrorOutput());
        $result = json_decode($tester->getDisplay(), true, 32, \JSON_THROW_ON_ERROR);
        self::assertIsArray($result);
        self::assertSame(
            ['fresh-huddle/grouping-result', 3, true],
            [$result['format'], $result['seed'], $result['proven']],
        );
    }

    public function test_rules_that_cannot_all_be_kept_end_with_2_and_the_result_says_which(): void
    {
        $tester = $this->group(
            ProblemReaderTest::file([
                'rules' => [
                    ['kind' => 'seat', 'student' => 's1', 'group' => 1],
                    ['kind' => 'notIn', 'student' => 's1', 'group' => 1],
                ],
            ]),
        );
        self::assertSame(2, $tester->getStatusCode());
        self::assertStringContainsString('"rules":[0,1]', $tester->getDisplay());
    }

    public function test_an_unusable_file_ends_with_1_and_one_line(): void
    {
        foreach ([ProblemReaderTest::file(['shape' => ['groups' => -1]]), '{', str_repeat(' ', 5_000_000)] as $json) {
            $tester = $this->group($json);
            self::assertSame(1, $tester->getStatusCode());
            self::assertSame('', $tester->getDisplay());
            self::assertMatchesRegularExpression('/^[^\n]+\n$/', $tester->getErrorOutput());
        }
        $tester = new CommandTester(new GroupCommand());
        $tester->execute(['problem' => '/nowhere/at/all.json'], ['capture_stderr_separately' => true]);
        self::assertSame(1, $tester->getStatusCode());
        self::assertSame("The file can’t be read.\n", $tester->getErrorOutput());
    }

    private function group(string $json): CommandTester
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'huddle');
        file_put_contents($file, $json);
        try {
            $tester = new CommandTester(new GroupCommand());
            $tester->execute(['problem' => $file], ['capture_stderr_separately' => true]);
        } finally {
            unlink($file);
        }

        return $tester;
    }
}
