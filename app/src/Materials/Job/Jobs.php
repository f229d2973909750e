<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Job;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\Media\Store\FileAway;
use FreshHuddle\App\Materials\Media\Store\FileStore;
use FreshHuddle\App\Words\Words;
use FreshHuddle\App\Worker\GaveUp;
use FreshHuddle\App\Worker\PurgesExpired;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\App\Worker\TryAgain;
use FreshHuddle\Core\Message;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Symfony\Component\Uid\Uuid;

/**
 * Begins jobs, does their steps in the worker and keeps what came of them for a day.
 */
final readonly class Jobs implements TaskHandler, PurgesExpired
{
    public const STEP = 'job';
    /** What was made can be had for so long. Milliseconds. */
    private const KEPT = 86_400_000;
    private const MOST_TRIES = 4;
    /** A teacher has so many at once. */
    private const MOST = 5;

    /**
     * @param iterable<JobHandler> $works
     */
    public function __construct(
        private EntityManagerInterface $em,
        private FileStore $store,
        private Tasks $tasks,
        private Clock $clock,
        private Words $words,
        #[AutowireIterator(JobHandler::class)]
        private iterable $works,
    ) {
    }

    /**
     * @param string $input bytes it is made from
     * @param int    $total steps
     *
     * @throws MaterialsRefused while too many of this teacher's are under way, or there is no room for its file
     */
    public function begin(Teacher $teacher, JobKind $kind, string $name, string $input, int $total): Job
    {
        // Two presses, one job.
        $key = 'job'.hash('sha1', "{$teacher->id}|{$kind->value}|{$name}|{$input}");
        $same = $this->em
            ->getRepository(Job::class)
            ->findOneBy(['teacher' => $teacher, 'state' => JobState::Working, 'input' => $key]);
        if (null !== $same) {
            return $same;
        }
        if (
            $this->em->getRepository(Job::class)->count(['teacher' => $teacher, 'state' => JobState::Working]) >=
            self::MOST
        ) {
            throw MaterialsRefused::tooMuch('materials.job.too_many', null, 30);
        }
        try {
            $this->store->put($key, $input);
        } catch (FileAway) {
            throw MaterialsRefused::tooMuch('materials.media.no_room', null, 10);
        }
        $job = new Job(
            Uuid::v7()->toRfc4122(),
            $teacher,
            $kind,
            mb_substr($name, 0, 200),
            $key,
            max(1, $total),
            $this->clock->ms(),
        );
        $this->em->persist($job);
        $this->em->flush();
        $this->tasks->schedule(self::STEP, $job->id);

        return $job;
    }

    /**
     * @throws MaterialsRefused if it is not theirs, or gone
     */
    public function forTeacher(Teacher $teacher, string $id): Job
    {
        $job = $this->em->find(Job::class, $id);
        if ($job?->teacher !== $teacher) {
            throw MaterialsRefused::missing();
        }
        $this->em->refresh($job);

        return $job;
    }

    public static function key(): string
    {
        return 'job'.bin2hex(random_bytes(20));
    }

    public static function kinds(): array
    {
        return [self::STEP];
    }

    public function classOf(Task $task): ?string
    {
        return null;
    }

    public function handle(Task $task): ?int
    {
        $job = $this->em->find(Job::class, $task->subject);
        if (null === $job) {
            return null;
        }
        $this->em->refresh($job);
        if (JobState::Working !== $job->state) {
            return null;
        }
        try {
            $work = $this->work($job->kind);
            if ($job->done < $job->total) {
                $work->step($job);
                ++$job->done;
                $this->em->flush();

                return $this->clock->ms();
            }
            $job->result = $work->finish($job);
            $job->state = JobState::Done;
            $this->em->flush();
        } catch (MaterialsRefused $e) {
            $this->fail($job, $e->says);

            return null;
        } catch (FileAway) {
            $why = new Message('materials.media.no_room');
            if ($task->attempts < self::MOST_TRIES) {
                throw new TryAgain($why, 1_000 * 2 ** $task->attempts);
            }
            $this->fail($job, $why);
            throw new GaveUp($why);
        }
        $this->dropParts($job);

        return null;
    }

    /**
     * What is a day old, with its files.
     */
    public function forgetOld(): void
    {
        /** @var list<Job> $old */
        $old = $this->em
            ->createQuery('SELECT j FROM '.Job::class.' j WHERE j.madeAt < ?1')
            ->setParameter(1, $this->clock->ms() - self::KEPT)
            ->setMaxResults(500)
            ->getResult();
        foreach ($old as $job) {
            $this->dropParts($job);
            if (JobKind::Slips === $job->kind && null !== $job->result) {
                $this->drop($job->result);
            }
            $this->em->remove($job);
        }
        $this->em->flush();
    }

    private function fail(Job $job, Message $why): void
    {
        $job->state = JobState::Failed;
        $job->failure = mb_substr($this->words->say($why), 0, 300);
        $this->em->flush();
        $this->dropParts($job);
    }

    private function dropParts(Job $job): void
    {
        foreach ([$job->input, ...array_values($job->parts)] as $key) {
            $this->drop($key);
        }
    }

    private function drop(string $key): void
    {
        try {
            if (str_starts_with($key, 'job')) {
                $this->store->drop($key);
            }
        } catch (FileAway) {
            // It lies there and harms nobody.
        }
    }

    private function work(JobKind $kind): JobHandler
    {
        foreach ($this->works as $work) {
            if ($work::kind() === $kind) {
                return $work;
            }
        }
        throw new \LogicException("Nobody does jobs of the kind {$kind->value}.");
    }
}
