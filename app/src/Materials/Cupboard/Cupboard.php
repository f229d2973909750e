<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\HandOut\Copy\WorkCopy;
use FreshHuddle\App\Materials\HandOut\HandOutCell;
use FreshHuddle\App\Materials\Media\MediaReader;
use FreshHuddle\App\Materials\Media\MediaUseStore;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Words\Words;
use FreshHuddle\App\Worker\PurgesExpired;
use FreshHuddle\Core\Materials\Exception\UnusableOriginal;
use FreshHuddle\Core\Materials\Merge\OriginalMerge;
use FreshHuddle\Core\Materials\Original;
use FreshHuddle\Core\Materials\Page;
use Symfony\Component\Uid\Uuid;

/**
 * A teacher's originals.
 */
final readonly class Cupboard implements PurgesExpired
{
    /** What is deleted can be brought back for so long. Milliseconds. */
    private const FOUND = 30 * 86_400_000;

    public function __construct(
        private EntityManagerInterface $em,
        private Pages $pages,
        private Transaction $transaction,
        private Clock $clock,
        private Stream $stream,
        private Words $words,
        private Markdown $markdown,
        private MediaReader $media,
        private MediaUseStore $uses,
    ) {
    }

    /**
     * @param array<string, string> $media what stands for which picture or recording in it
     *
     * @throws MaterialsRefused if it cannot be used
     */
    public function add(Teacher $teacher, SaveOriginal $save, array $media = []): StoredOriginal
    {
        $original = $this->made($save, $teacher, $media);
        $master = new StoredOriginal(
            Uuid::v7()->toRfc4122(),
            $teacher,
            $original->title,
            trim($save->subject),
            trim($save->year),
            trim($save->about),
            Pages::kept($original->pages),
            Pages::kept($original->variants),
            1,
            $this->clock->ms(),
        );
        $this->transaction->run(function () use ($master, $original): void {
            $this->em->persist($master);
            $this->em->flush();
            $this->uses->ofOriginal($master->id, $original->media());
        });

        return $master;
    }

    /**
     * @throws MaterialsRefused if it was changed elsewhere meanwhile and cannot be brought together, or if it cannot be
     *                          used
     */
    public function save(StoredOriginal $master, SaveOriginal $save): StoredOriginal
    {
        $this->transaction->run(function () use ($master, $save): void {
            $this->em->refresh($master, LockMode::PESSIMISTIC_WRITE);
            $isBehind = $master->version !== $save->basedOn;
            $original = $this->made($save, $master->teacher);
            if ($isBehind) {
                $original = $this->together($master, $save, $original);
            }
            $master->title = $original->title;
            $base = $isBehind ? $save->base : null;
            $master->subject = OriginalMerge::mergeValue($base?->subject, $master->subject, trim($save->subject)) ?? '';
            $master->year = OriginalMerge::mergeValue($base?->year, $master->year, trim($save->year)) ?? '';
            $master->about = OriginalMerge::mergeValue($base?->about, $master->about, trim($save->about)) ?? '';
            $master->pages = Pages::kept($original->pages);
            $master->variants = Pages::kept($original->variants);
            ++$master->version;
            $master->changedAt = $this->clock->ms();
            $this->em->flush();
            $this->uses->ofOriginal($master->id, $original->media());
        });
        $this->tell($master);

        return $master;
    }

    /**
     * What has come in with what another window has saved meanwhile.
     *
     * @throws MaterialsRefused if that is not to be, or is more than an original can hold
     */
    private function together(StoredOriginal $master, SaveOriginal $save, Original $mine): Original
    {
        if (null === $save->base) {
            throw MaterialsRefused::outdated('materials.original.changed');
        }
        try {
            $base = new Original(
                trim($save->base->title),
                array_map(static fn (PageView $page): Page => $page->page(), $save->base->pages),
                $save->base->variants,
            );

            return (new OriginalMerge())->merge($base, $this->original($master), $mine);
        } catch (UnusableOriginal) {
            throw MaterialsRefused::outdated('materials.original.changed');
        }
    }

    public function copy(Teacher $teacher, StoredOriginal $master, string $title): StoredOriginal
    {
        $copy = new StoredOriginal(
            Uuid::v7()->toRfc4122(),
            $teacher,
            mb_substr($title, 0, 120),
            $master->subject,
            $master->year,
            $master->about,
            $master->pages,
            $master->variants,
            1,
            $this->clock->ms(),
        );
        $this->transaction->run(function () use ($copy): void {
            $this->em->persist($copy);
            $this->em->flush();
            $this->uses->ofOriginal($copy->id, $this->original($copy)->media());
        });

        return $copy;
    }

    /**
     * Deleted, or back again. Lessons that use it keep it.
     */
    public function remove(StoredOriginal $master, bool $removed): void
    {
        $master->removedAt = $removed ? $master->removedAt ?? $this->clock->ms() : null;
        $this->em->flush();
    }

    /**
     * @return list<DeletedOriginal> what was deleted lately and may be brought back, the last first
     */
    public function deleted(Teacher $teacher): array
    {
        /** @var list<StoredOriginal> $masters */
        $masters = $this->em
            ->createQuery(
                'SELECT o FROM '.
                    StoredOriginal::class.
                    ' o WHERE o.teacher = ?1 AND o.removedAt > ?2 ORDER BY o.removedAt DESC, o.id',
            )
            ->setParameter(1, $teacher)
            ->setParameter(2, $this->clock->ms() - self::FOUND)
            ->getResult();

        return array_map(
            static fn (StoredOriginal $master): DeletedOriginal => new DeletedOriginal(
                $master->id,
                $master->title,
                $master->removedAt ?? 0,
            ),
            $masters,
        );
    }

    /**
     * Gone for good, but for those that a lesson hands out.
     */
    public function forgetOld(): void
    {
        $this->em
            ->createQuery(
                'DELETE FROM '.
                    StoredOriginal::class.
                    ' o WHERE o.removedAt <= ?1 AND NOT EXISTS (SELECT 1 FROM '.
                    HandOutCell::class.
                    ' h WHERE h.original = o) AND NOT EXISTS (SELECT 1 FROM '.
                    WorkCopy::class.
                    ' c WHERE c.original = o)',
            )
            ->setParameter(1, $this->clock->ms() - self::FOUND)
            ->execute();
    }

    public function archive(StoredOriginal $master, bool $archived): void
    {
        $master->archivedAt = $archived ? $this->clock->ms() : null;
        $this->em->flush();
    }

    public function original(StoredOriginal $master): Original
    {
        return new Original(
            $master->title,
            array_map(static fn (PageView $page): Page => $page->page(), $this->pages->read($master->pages)),
            $this->pages->variants($master->variants),
        );
    }

    public function view(StoredOriginal $master): OriginalView
    {
        $original = $this->original($master);
        $unfinished = $original->unfinished();
        $pages = array_map(PageView::fromPage(...), $original->pages);

        return new OriginalView(
            $master->id,
            $master->title,
            $master->subject,
            $master->year,
            $master->about,
            $master->version,
            $pages,
            $original->variants,
            null === $unfinished ? null : $this->words->say($unfinished->says),
            null !== $master->archivedAt,
            $this->markdown->fromPages($pages),
        );
    }

    /**
     * @return list<string> ids of the pictures and recordings that stand in what is to be saved
     *
     * @throws MaterialsRefused
     */
    public function mediaIn(SaveOriginal $save): array
    {
        return self::read($save)->media();
    }

    /**
     * A picture or recording that is not open to whose original it is stands in no original of theirs.
     *
     * @param array<string, string> $media what stands for which id
     *
     * @throws MaterialsRefused
     */
    private function made(SaveOriginal $save, Teacher $teacher, array $media = []): Original
    {
        $original = self::read($save)->withMedia(static fn (string $id): string => $media[$id] ?? $id);

        return [] === $original->media()
            ? $original
            : $original->withMediaAmong($this->media->open($teacher->id, $original->media()));
    }

    private static function read(SaveOriginal $save): Original
    {
        try {
            return new Original(
                trim($save->title),
                array_map(static fn (PageView $page): Page => $page->page(), $save->pages),
                $save->variants,
            );
        } catch (UnusableOriginal $e) {
            throw MaterialsRefused::because($e->says, 'pages');
        }
    }

    /**
     * Lessons that hand it out show it as it is now.
     */
    private function tell(StoredOriginal $master): void
    {
        /** @var list<Round> $rounds */
        $rounds = $this->em
            ->createQuery(
                'SELECT DISTINCT r FROM '.
                    Round::class.
                    ' r, '.
                    HandOutCell::class.
                    ' h WHERE h.round = r AND h.original = ?1',
            )
            ->setParameter(1, $master->id)
            ->getResult();
        $lessons = array_unique(array_map(static fn (Round $round): string => $round->lesson->id, $rounds));
        if ([] !== $lessons) {
            $this->stream->publish(array_values(array_map(Audience::staff(...), $lessons)), new LessonHint());
        }
    }
}
