<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp\Work;

use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Ready\Portal\CoursePortal;
use FreshHuddle\App\Ready\Portal\PortalFailed;
use FreshHuddle\App\Ready\Portal\Post;
use FreshHuddle\App\Ready\Sending\DeliveryKind;
use FreshHuddle\App\Ready\Sending\DeliveryReader;
use FreshHuddle\App\Ready\Sending\DeliveryStore;
use FreshHuddle\App\Ready\Sending\DeliveryThing;
use FreshHuddle\App\Ready\Sending\Postings;
use FreshHuddle\App\Ready\SetUp\SetUpStep;
use FreshHuddle\App\Roster\Roster;
use FreshHuddle\App\Roster\Staff\Staff;
use FreshHuddle\Core\Ready\SetUp\StepKind;

/**
 * Posts: each goes out under a key that was noted before, so that it is there once, however often it is sent.
 */
final class PostSteps implements StepRunner
{
    /** @var array<string, Post>|null by group; null: to be worked out, and the course to be brought up to date */
    private ?array $known = null;

    public function __construct(
        private readonly CoursePortal $portal,
        private readonly Postings $postings,
        private readonly DeliveryStore $store,
        private readonly DeliveryReader $sent,
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

    public function do(SetUpStep $step): void
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
    public function probe(Round $round): array
    {
        $sent = array_filter(
            $this->sent->forRound($round->id),
            static fn (DeliveryThing $deliveryThing): bool => DeliveryKind::Post === $deliveryThing->kind
                && null !== $deliveryThing->theirId,
        );
        if ([] === $sent) {
            return [];
        }
        $posts = $this->portal->posts($round->lesson->class->id);
        $postings = $this->postings->forRound($round);
        $wrong = [];
        foreach ($sent as $delivery) {
            $posted = $posts[(string) $delivery->theirId] ?? null;
            $wanted = $postings[$delivery->target] ?? null;
            if (null === $wanted) {
                continue; // its table is gone: it is withdrawn by the list
            }
            $this->store->stands($delivery->id, $wanted, $posted);
            if (
                null === $posted
                || $posted->digest() !== $wanted->digest()
                || !$posted->isSeenByJust($wanted->audience)
            ) {
                $wrong[] = $delivery->target;
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
            $this->known = $this->postings->forRound($round);
        }
        $posting = $this->known[$group] ?? null;
        if (null === $posting) {
            return; // its table was taken away meanwhile
        }
        $key = $this->store->key($round->id, DeliveryKind::Post, $group);
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
    private function withdraw(SetUpStep $step): void
    {
        foreach ($this->sent->forRound($step->round->id) as $delivery) {
            if ($delivery->id === $step->subject) {
                if (null !== $delivery->theirId) {
                    $this->portal->withdraw($delivery->theirId);
                }
                $this->store->withdrawn($delivery->id);
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
