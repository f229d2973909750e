<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Gallery;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Debrief\Debrief;
use FreshHuddle\App\Debrief\DebriefChanger;
use FreshHuddle\App\Debrief\Exception\DebriefRefused;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Lesson\Actor;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\SingleLine;
use Symfony\Component\DependencyInjection\Attribute\Target;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Opens all work of a round to the whole class, and closes it again.
 */
final readonly class Galleries
{
    public const LONGEST_REMARK = 140;

    public function __construct(
        private EntityManagerInterface $em,
        private DebriefChanger $changer,
        private GalleryReader $reader,
        private NowReader $now,
        private Transaction $transaction,
        private Clock $clock,
        #[Target('saves')]
        private RateLimiterFactoryInterface $saves,
    ) {
    }

    /**
     * @throws DebriefRefused if there is no work to be seen, or the moment has passed
     */
    public function open(Lesson $lesson, OpenGallery $request, Actor $actor): void
    {
        if (null !== $request->until && $request->until <= $this->clock->ms()) {
            throw DebriefRefused::unusable('debrief.gallery.past', 'until');
        }
        $this->changer->change($lesson, $actor, function (Debrief $debrief, int $now) use ($lesson, $request): array {
            $gallery = $this->reader->ofLesson($lesson->id);
            $isNew = null === $gallery;
            if (null === $gallery) {
                $round = $this->now->forLesson($lesson->id)?->roundId;
                $round = null === $round ? null : $this->em->find(Round::class, $round);
                if (null === $round || null === $round->state()->outAt) {
                    throw DebriefRefused::unusable('debrief.gallery.nothing');
                }
                $gallery = new Gallery(Uuid::v7()->toRfc4122(), $lesson, $round, $now);
                $this->em->persist($gallery);
            }
            $gallery->remarks = $request->remarks;
            $gallery->until = $request->until;

            return $isNew ? [new Event(EventKind::GalleryOpened, $now)] : [];
        });
    }

    /**
     * Also after the lesson. With it go its remarks from everybody's eyes.
     */
    public function close(Lesson $lesson, Actor $actor): void
    {
        $this->transaction->run(function () use ($lesson, $actor): void {
            $this->changer->hold($lesson);
            $this->changer->apply($lesson, $actor, function (Debrief $debrief, int $now) use ($lesson): ?array {
                $gallery = $this->reader->ofLesson($lesson->id);
                if (null === $gallery) {
                    return null;
                }
                $gallery->closedAt = $now;

                return [new Event(EventKind::GalleryClosed, $now)];
            });
        });
    }

    /**
     * As the lesson ends, unless it is to stay open; the lesson is held.
     *
     * @param int $now milliseconds since 1970
     *
     * @return bool whether one was open
     */
    public function stop(Lesson $lesson, int $now): bool
    {
        $gallery = $this->em->getRepository(Gallery::class)->findOneBy([
            'lesson' => $lesson,
            'closedAt' => null,
            'until' => null,
        ]);
        if (null === $gallery) {
            return false;
        }
        $gallery->closedAt = $now;

        return true;
    }

    /**
     * A student says something beside a copy, says it anew, or takes it back.
     *
     * @throws DebriefRefused if no remarks are wanted there, or it is too long
     */
    public function remark(StudentUser $student, string $copyId, string $text): void
    {
        $line = SingleLine::fromText($text);
        if (mb_strlen($line) > self::LONGEST_REMARK) {
            throw DebriefRefused::unusable('debrief.gallery.long', 'text', ['most' => self::LONGEST_REMARK]);
        }
        if (!$this->saves->create($student->id)->consume()->isAccepted()) {
            throw DebriefRefused::tooMuch('materials.too_much', null, 2);
        }
        $this->transaction->run(function () use ($student, $copyId, $line): void {
            [$gallery, $copy] = $this->reader->hung($student, $copyId);
            $this->changer->hold($gallery->lesson);
            $this->em->refresh($gallery);
            if (!$gallery->remarks || !$gallery->isOpen($this->clock->ms())) {
                throw DebriefRefused::missing();
            }
            $who = $this->em->find(Student::class, $student->id) ?? throw DebriefRefused::missing();
            $old = $this->em->getRepository(GalleryRemark::class)->findOneBy([
                'gallery' => $gallery,
                'copy' => $copy,
                'student' => $who,
            ]);
            if ('' === $line) {
                if (null !== $old) {
                    $this->em->remove($old);
                }
            } elseif (null === $old) {
                $this->em->persist(
                    new GalleryRemark(Uuid::v7()->toRfc4122(), $gallery, $copy, $who, $line, $this->clock->ms()),
                );
            } else {
                $old->text = $line;
                $old->at = $this->clock->ms();
            }
            $this->changer->hint($gallery->lesson);
        });
    }

    /**
     * @throws DebriefRefused if there is no such remark in this lesson
     */
    public function removeRemark(Lesson $lesson, string $id): void
    {
        $this->transaction->run(function () use ($lesson, $id): void {
            $remark = $this->em->find(GalleryRemark::class, $id);
            if ($remark?->gallery->lesson !== $lesson) {
                throw DebriefRefused::missing();
            }
            $this->em->remove($remark);
            $this->changer->hint($lesson);
        });
    }
}
