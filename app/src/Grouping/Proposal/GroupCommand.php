<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Proposal;

use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Grouping\Exception\ImpossibleShape;
use FreshHuddle\Core\Grouping\Exception\NoWayFound;
use FreshHuddle\Core\Grouping\Exception\UnusableProblem;
use FreshHuddle\Core\Grouping\Format\ProblemReader;
use FreshHuddle\Core\Grouping\Format\ResultWriter;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * Makes groups from a problem file, without an instance (docs/formats/grouping-problem.schema.json).
 */
#[AsCommand(
    'huddle:group',
    'Puts a class into groups: reads a problem file and writes the result to standard output.',
),]
final class GroupCommand extends Command
{
    private const RULES_CONTRADICT = 2;

    protected function configure(): void
    {
        $this->addArgument('problem', InputArgument::REQUIRED, 'A problem file, or - for standard input')->setHelp(
            'Exit 0: all rules are kept. 2: they cannot all be kept; the result says which contradict each other. 1: the file cannot be used; standard error says where and why. The formats are in docs/formats.',
        );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        $file = $input->getArgument('problem');
        $json = \is_string($file) ? self::contents($file) : null;
        if (null === $json) {
            $errors->writeln('The file can’t be read.', OutputInterface::OUTPUT_RAW);

            return self::FAILURE;
        }
        $words = Words::alone();
        try {
            $problem = (new ProblemReader())->read($json);
            $result = $problem->method->method()->solve($problem, new ClockLimit($problem->timeLimitMs));
        } catch (UnusableProblem $e) {
            $errors->writeln($e->getMessage(), OutputInterface::OUTPUT_RAW);

            return self::FAILURE;
        } catch (ImpossibleShape|NoWayFound $e) {
            $errors->writeln($words->say($e->says), OutputInterface::OUTPUT_RAW);

            return self::FAILURE;
        }
        $output->write((new ResultWriter())->write($result, $words->say(...)), false, OutputInterface::OUTPUT_RAW);

        return $result->keepsAllRules() ? self::SUCCESS : self::RULES_CONTRADICT;
    }

    /**
     * Not more than can be used, however long the file is.
     */
    private static function contents(string $file): ?string
    {
        if (is_dir($file)) {
            return null;
        }
        $stream = @fopen('-' === $file ? 'php://stdin' : $file, 'r');
        $json = false === $stream ? false : stream_get_contents($stream, ProblemReader::MAX_BYTES + 1);

        return false === $json ? null : $json;
    }
}
