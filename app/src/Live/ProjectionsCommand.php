<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Round\Round;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * Makes what follows from the events anew, and says whether anything differed.
 */
#[AsCommand('huddle:projections', 'Rebuilds the calls, visits, signals and moves of a lesson from its events.')]
final class ProjectionsCommand extends Command
{
    public function __construct(
        private readonly EntityManagerInterface $em,
        private readonly EventStore $events,
        private readonly Projections $projections,
        private readonly Transaction $transaction,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('lesson', InputArgument::REQUIRED, 'Its id.');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $id = $input->getArgument('lesson');
        $lesson = \is_string($id) ? $this->em->find(Lesson::class, $id) : null;
        if (null === $lesson) {
            $output->writeln('No lesson has this ID.');

            return self::FAILURE;
        }
        $this->transaction->run(function () use ($lesson): void {
            $this->events->lock($lesson->id);
            foreach ($this->em->getRepository(Round::class)->findBy(['lesson' => $lesson]) as $round) {
                $this->projections->again($lesson->id, $round->id);
            }
        });

        return self::SUCCESS;
    }
}
