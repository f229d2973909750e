<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Sending;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Ready\Exception\ReadyRefused;
use FreshHuddle\App\Ready\Portal\CoursePortal;
use FreshHuddle\App\Roster\Roster;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Stream;

/**
 * What of a round is to be sent.
 */
final readonly class DeliveryPlan
{
    public function __construct(
        private EntityManagerInterface $em,
        private DeliveryReader $sent,
        private Roster $roster,
        private CoursePortal $portal,
        private Stream $stream,
        private Transaction $transaction,
    ) {
    }

    /**
     * @return DeliverySettings as it is kept, or one that sends nothing
     */
    public function forRound(Round $round): DeliverySettings
    {
        return $this->em->find(DeliverySettings::class, $round->id) ?? new DeliverySettings($round);
    }

    /**
     * @throws ReadyRefused in practice, which reaches nobody
     */
    public function save(Round $round, SaveSending $request): void
    {
        if ($round->lesson->class->isPractice && (true === $request->posts || true === $request->letters)) {
            throw ReadyRefused::unusable('ready.practice_sends_nothing');
        }
        $this->transaction->run(function () use ($round, $request): void {
            $sending = $this->forRound($round);
            $sending->posts = $request->posts ?? $sending->posts;
            $sending->letters = $request->letters ?? $sending->letters;
            $sending->unit = trim($request->unit ?? $sending->unit);
            $sending->dueAt = 0 === $request->dueAt ? null : $request->dueAt ?? $sending->dueAt;
            $sending->counted = $request->counted ?? $sending->counted;
            $sending->zone = $request->zone ?? $sending->zone;
            $this->em->persist($sending);
        });
        $this->stream->publish([Audience::staff($round->lesson->id)], new LessonHint());
    }

    public function view(Round $round): SendingView
    {
        $sending = $this->forRound($round);
        $students = $this->roster->students($round->lesson->class);
        $names = [];
        foreach ($students as $student) {
            $names[$student->id] = $student->name;
        }
        $posted = $written = 0;
        $back = [];
        foreach ($this->sent->forRound($round->id) as $sent) {
            if (DeliveryKind::Post === $sent->kind) {
                $posted += null === $sent->theirId ? 0 : 1;
            } elseif ($sent->arrived) {
                $written += null === $sent->at ? 0 : 1;
            } else {
                $back[] = new LetterBack(
                    $sent->target,
                    $names[$sent->target] ?? '',
                    $sent->address,
                    $sent->failure ?? '',
                );
            }
        }

        return new SendingView(
            $sending->posts,
            $sending->letters,
            $sending->unit,
            $sending->dueAt,
            $sending->counted,
            $posted,
            $written,
            \count(array_filter($students, static fn (Student $student): bool => null !== $student->email)),
            $back,
            0 === $posted ? null : $this->portal->page($round->lesson->class->id),
        );
    }
}
