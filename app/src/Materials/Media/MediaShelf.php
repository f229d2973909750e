<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\HandOut\Copy\WorkCopy;
use FreshHuddle\App\Materials\Media\Store\FileAway;
use FreshHuddle\App\Materials\Media\Store\FileStore;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\App\Worker\PurgesExpired;
use Symfony\Component\Uid\Uuid;

/**
 * Keeps pictures and recordings: the bytes in the file store, once however often they come in, and a row for each
 * teacher who has them.
 */
final readonly class MediaShelf implements PurgesExpired
{
    /**
     * What stands nowhere is kept so long all the same: somebody may be about to put it in, or think again. Seconds.
     */
    private const UNUSED = 7 * 86_400;
    private const MOST_AT_ONCE = 500;
    /** A file that has not become whole by then never will. Seconds. */
    private const PART = 3_600;

    /** Of all pictures and recordings of a teacher and her classes. */
    private const MOST_BYTES = 2_000_000_000;

    /** Of what the students of one class put in. */
    private const MOST_OF_CLASS = 500_000_000;

    /** Pictures of the students' own in one copy. */
    private const MOST_IN_A_COPY = 200;

    public function __construct(
        private EntityManagerInterface $em,
        private MediaFile $files,
        private FileStore $store,
        private Clock $clock,
        private MediaReader $reader,
        private Transaction $transaction,
        private int $mostOfClass = self::MOST_OF_CLASS,
    ) {
    }

    /**
     * @throws MaterialsRefused if it is nothing that can be kept, or cannot be kept now
     */
    public function put(Teacher $teacher, PutMedia $request): MediaView
    {
        return self::view($this->keep($teacher, $this->read($request)));
    }

    /**
     * Puts a picture of a student's into a copy they write in.
     *
     * @throws MaterialsRefused as `put`; also if it is no picture, or the copy has enough of them
     */
    public function putInto(WorkCopy $copy, Student $student, PutMedia $request): MediaView
    {
        $read = $this->read($request);
        if (MediaKind::Picture !== $read->kind) {
            throw MaterialsRefused::unusable('materials.media.no_picture', 'content');
        }
        if ($this->reader->keptIn($copy->round->lesson->class->id) + \strlen($read->bytes) > $this->mostOfClass) {
            throw MaterialsRefused::unusable(
                'materials.media.class_quota',
                'content',
                ['most' => intdiv($this->mostOfClass, 1_000_000)],
            );
        }

        return $this->transaction->run(function () use ($copy, $student, $read): MediaView {
            $media = $this->keep($copy->round->lesson->class->teacher, $read);
            $this->em->lock($copy, LockMode::PESSIMISTIC_WRITE);
            if (null === $this->em->find(CopyMedia::class, ['copy' => $copy, 'media' => $media])) {
                if ($this->em->getRepository(CopyMedia::class)->count(['copy' => $copy]) >= self::MOST_IN_A_COPY) {
                    throw MaterialsRefused::unusable(
                        'materials.media.too_many',
                        'content',
                        ['most' => self::MOST_IN_A_COPY],
                    );
                }
                $this->em->persist(new CopyMedia($copy, $media, $student));
                $this->em->flush();
            }

            return self::view($media);
        });
    }

    /**
     * For an archive: one after the other, so that they are never held all at once.
     *
     * @param array<string, string> $beside other files, by name
     * @param list<string>          $ids
     *
     * @return iterable<string, string> bytes by name
     *
     * @throws MaterialsRefused if the bytes of one cannot be had now
     */
    public function files(array $beside, array $ids): iterable
    {
        yield from $beside;
        foreach ($this->em->getRepository(Media::class)->findBy(['id' => array_unique($ids)]) as $media) {
            yield MediaName::of($media) => $this->bytes($media);
        }
    }

    /**
     * @throws MaterialsRefused if its bytes cannot be had now
     */
    public function bytes(Media $media): string
    {
        try {
            return $this->store->get($media->digest);
        } catch (FileAway) {
            throw MaterialsRefused::missing();
        }
    }

    /**
     * Puts in a file that is here. What has lain here before stays as it is: it is not drawn once more.
     *
     * @throws MaterialsRefused as `put`
     */
    public function putBytes(Teacher $teacher, string $bytes): Media
    {
        return $this->em
            ->getRepository(Media::class)
            ->findOneBy(['teacher' => $teacher, 'digest' => hash('sha256', $bytes)]) ??
            $this->keep($teacher, $this->files->read($bytes));
    }

    /**
     * Pictures and recordings that stand in no original and no copy any more go, and their bytes with the last who had
     * them.
     */
    public function forgetOld(): void
    {
        try {
            $this->store->dropParts(intdiv($this->clock->ms(), 1_000) - self::PART);
        } catch (FileAway) {
            // Within the hour it is tried again.
        }
        $before = $this->clock->ms() - 1_000 * self::UNUSED;
        foreach ($this->reader->unused($before, self::MOST_AT_ONCE) as $digest => $ids) {
            $this->transaction->run(function () use ($ids, $digest): void {
                $this->reader->hold($digest);
                foreach ($this->em->getRepository(Media::class)->findBy(['id' => $ids]) as $media) {
                    $this->em->remove($media);
                }
            });
            // In a second step: bytes that are left behind do no harm, a row without bytes does.
            $this->dropUnused($digest);
        }
    }

    private function dropUnused(string $digest): void
    {
        $this->transaction->run(function () use ($digest): void {
            $this->reader->hold($digest);
            if (0 === $this->em->getRepository(Media::class)->count(['digest' => $digest])) {
                try {
                    $this->store->drop($digest);
                } catch (FileAway) {
                    return;
                }
            }
        });
    }

    /**
     * Pictures and recordings that nobody needs any more go at once, and their bytes after this change.
     *
     * @param list<string> $ids
     */
    public function forget(array $ids): void
    {
        foreach ($this->reader->unusedAmong($ids) as $digest => $unused) {
            foreach ($this->em->getRepository(Media::class)->findBy(['id' => $unused]) as $media) {
                $this->em->remove($media);
            }
            $this->transaction->afterCommit(fn () => $this->dropUnused($digest));
        }
    }

    /**
     * The pictures of one copy belong to another too.
     */
    public function goOn(string $fromCopy, string $toCopy): void
    {
        $copy = $this->em->find(WorkCopy::class, $toCopy) ?? throw MaterialsRefused::missing();
        foreach ($this->em->getRepository(CopyMedia::class)->findBy(['copy' => $fromCopy]) as $use) {
            $this->em->persist(new CopyMedia($copy, $use->media, $use->by));
        }
        $this->em->flush();
    }

    private function read(PutMedia $request): ReadMedia
    {
        $bytes = base64_decode($request->content, true);

        return false === $bytes
            ? throw MaterialsRefused::unusable('materials.media.unknown', 'content') : $this->files->read($bytes);
    }

    private function keep(Teacher $teacher, ReadMedia $read): Media
    {
        $digest = hash('sha256', $read->bytes);

        return $this->transaction->run(function () use ($teacher, $read, $digest): Media {
            $this->reader->hold($digest);
            try {
                $this->store->put($digest, $read->bytes);
            } catch (FileAway) {
                throw MaterialsRefused::tooMuch('materials.media.no_room', 'content', 10);
            }
            $this->em->lock($teacher, LockMode::PESSIMISTIC_WRITE); // who puts in the same at the same moment finds it
            $media = $this->em->getRepository(Media::class)->findOneBy(['teacher' => $teacher, 'digest' => $digest]);
            if (null === $media) {
                if ($this->reader->kept($teacher->id) + \strlen($read->bytes) > self::MOST_BYTES) {
                    throw MaterialsRefused::unusable(
                        'materials.media.quota',
                        'content',
                        ['most' => intdiv(self::MOST_BYTES, 1_000_000)],
                    );
                }
                $media = new Media(
                    Uuid::v7()->toRfc4122(),
                    $teacher,
                    $digest,
                    $read->kind,
                    $read->type,
                    \strlen($read->bytes),
                    $read->width,
                    $read->height,
                    $read->seconds,
                    $this->clock->ms(),
                );
                $this->em->persist($media);
                $this->em->flush();
            }

            return $media;
        });
    }

    private static function view(Media $media): MediaView
    {
        return new MediaView($media->id, $media->kind, $media->width, $media->height, $media->seconds);
    }
}
