<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp\Work;

use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Ready\Portal\CoursePortal;
use FreshHuddle\App\Ready\Portal\PortalFailed;
use FreshHuddle\App\Ready\Portal\Posting;
use FreshHuddle\App\Ready\Sending\Postings;
use FreshHuddle\App\Ready\Sending\SentKind;
use FreshHuddle\App\Ready\Sending\SentReader;
use FreshHuddle\App\Ready\Sending\SentStore;
use FreshHuddle\App\Ready\Sending\SentThing;
use FreshHuddle\App\Ready\SetUp\Step;
use FreshHuddle\App\Roster\Roster;
use FreshHuddle\App\Roster\Staff\Staff;
use FreshHuddle\Core\Ready\SetUp\StepKind;

/**
 * Posts: each goes out under a key that was noted before, so that it is there once, however often it is sent.
 */
final class PostSteps implements StepWork
{
    /** @var array<string, Posting>|null by group; null: to be worked out, and the course to be brought up to date */
    private ?array $known = null;

    public function __construct(
        private readonly CoursePortal $portal,
        private readonly Postings $postings,
        private readonly SentStore $store,
        private readonly SentReader $sent,
        private readonly Roster $roster,
        private readonly Staff $staff,
    ) {
    }

    public static function kinds(): array
    {
        return [StepKind::Post, StepKind::ChangePost, StepKind::Withdraw];
    }

    public function begin(Round $round): void
    {
        $this->known = null;
    }

    public function do(Step $step): void
    {
        try {
            StepKind::Withdraw === $step->kind
                ? $this->withdraw($step)
                : $this->post($step->round, (string) $step->groupId);
        } catch (PortalFailed $e) {
            throw StepNotDone::atService($e);
        }
    }

    /**
     * Looks at what the portal has of a round, and notes it. It is not believed because it said so.
     *
     * @return list<string> groups whose post is not as it was sent
     *
     * @throws PortalFailed
     */
    public function look(Round $round): array
    {
        $sent = array_filter(
            $this->sent->of($round->id),
            static fn (SentThing $one): bool => SentKind::Post === $one->kind && null !== $one->theirId,
        );
        if ([] === $sent) {
            return [];
        }
        $posts = $this->portal->posts($round->lesson->class->id);
        $postings = $this->postings->of($round);
        $wrong = [];
        foreach ($sent as $one) {
            $is = $posts[(string) $one->theirId] ?? null;
            $wanted = $postings[$one->target] ?? null;
            if (null === $wanted) {
                continue; // its table is gone: it is withdrawn by the list
            }
            $this->store->stands($one->id, $wanted, $is);
            if (null === $is || $is->digest() !== $wanted->digest() || !$is->isSeenByJust($wanted->audience)) {
                $wrong[] = $one->target;
            }
        }

        return $wrong;
    }

    /**
     * @throws PortalFailed
     */
    private function post(Round $round, string $group): void
    {
        if (null === $this->known) {
            $this->enrol($round);
            $this->known = $this->postings->of($round);
        }
        $posting = $this->known[$group] ?? null;
        if (null === $posting) {
            return; // its table was taken away meanwhile
        }
        $key = $this->store->key($round->id, SentKind::Post, $group);
        $theirId = $this->sent->theirId($key);
        if (null !== $theirId) {
            try {
                $this->portal->change($theirId, $posting);
                $this->store->posted($key, $theirId, $posting);

                return;
            } catch (PortalFailed $e) {
                if (!$e->missing) {
                    throw $e;
                } // somebody took it away there: it is posted once more
            }
        }
        $this->store->posted($key, $this->portal->post($key, $round->lesson->class->id, $posting), $posting);
    }

    /**
     * Whoever is to see a post is in the course.
     *
     * @throws PortalFailed
     */
    private function enrol(Round $round): void
    {
        $class = $round->lesson->class;
        $this->portal->course($class->id, $class->name, $this->students($round), $this->staff->names($class));
    }

    /**
     * @throws PortalFailed
     */
    private function withdraw(Step $step): void
    {
        foreach ($this->sent->of($step->round->id) as $one) {
            if ($one->id === $step->subject) {
                if (null !== $one->theirId) {
                    $this->portal->withdraw($one->theirId);
                }
                $this->store->withdrawn($one->id);
            }
        }
    }

    /**
     * @return array<string, string> id => name
     */
    private function students(Round $round): array
    {
        $students = [];
        foreach ($this->roster->students($round->lesson->class) as $student) {
            $students[$student->id] = $student->name;
        }

        return $students;
    }
}
