<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Ready\Exception\ReadyRefused;
use FreshHuddle\App\Roster\Staff\Staff;
use FreshHuddle\App\Roster\Staff\StaffRole;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Ready\SetUp\SetUpStep;

/**
 * Carries out the set-up list of a round as it was shown (SetUpListViews).
 */
final readonly class SetUps
{
    public function __construct(
        private EntityManagerInterface $em,
        private SetUpLists $lists,
        private SetUpStore $store,
        private SetUpReader $reader,
        private Tasks $tasks,
        private Staff $staff,
        private Transaction $transaction,
        private Stream $stream,
    ) {
    }

    /**
     * Has what was shown carried out. Pressed twice, or by two people at once, it is carried out once.
     *
     * @throws ReadyRefused if the list is another by now; nothing has been done then
     */
    public function carryOut(Teacher $teacher, Round $round, CarryOut $request): void
    {
        $running = $this->reader->running($round->lesson->id);
        if (null !== $running && $this->tasks->isThere(SetUpTaskHandler::CARRY_OUT, $running)) {
            return; // it is being done already
        }
        if (null !== $running) {
            $this->store->finish($running); // its work broke for good, and somebody let it be
        }
        $list = $this->lists->ofLesson($round)[0];
        if ($list->digest() !== $request->digest) {
            throw ReadyRefused::outdated('ready.set_up.changed', 'digest');
        }
        $steps = array_values(
            array_filter(
                $list->steps,
                static fn (SetUpStep $step): bool => null === $step->loses
                    || \in_array($step->sure(), $request->sure, true),
            ),
        );
        if (
            \count($steps) > \count($list->harmless())
            && StaffRole::Assistant === $this->staff->role($teacher, $round->lesson->class)
        ) {
            throw ReadyRefused::notAllowed('roster.assistant'); // what is lost is lost by those who teach the class
        }
        if ([] === $steps) {
            return;
        }
        $this->transaction->run(function () use ($teacher, $round, $list, $steps): void {
            $id = $this->store->begin($round, $teacher, $list->digest(), $steps);
            if (null !== $id) {
                $this->tasks->schedule(SetUpTaskHandler::CARRY_OUT, $id);
            }
        });
        $this->stream->publish([Audience::staff($round->lesson->id)], new LessonHint());
    }

    /**
     * What failed is tried again.
     *
     * @param int|null $position the step; null: all that failed
     */
    public function again(SetUp $setUp, ?int $position): void
    {
        $this->transaction->run(function () use ($setUp, $position): void {
            if ($this->store->again($setUp->id, $position)) {
                $this->tasks->schedule(SetUpTaskHandler::CARRY_OUT, $setUp->id);
            }
        });
        $this->stream->publish([Audience::staff($setUp->lesson->id)], new LessonHint());
    }

    /**
     * @throws ReadyRefused
     */
    public function find(string $id): SetUp
    {
        return $this->em->find(SetUp::class, $id) ?? throw ReadyRefused::missing();
    }
}
