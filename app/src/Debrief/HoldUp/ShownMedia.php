<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\HoldUp;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Debrief\Exception\DebriefRefused;
use FreshHuddle\App\Http\File\Bytes;
use FreshHuddle\App\Materials\HandOut\Copy\WorkCopy;
use FreshHuddle\App\Materials\Media\Media;
use FreshHuddle\App\Materials\Media\MediaReader;
use FreshHuddle\App\Materials\Media\MediaShelf;

/**
 * Pictures and recordings in shown work, for everybody while it is shown.
 */
final readonly class ShownMedia
{
    public function __construct(
        private EntityManagerInterface $em,
        private ShownReader $reader,
        private MediaReader $media,
        private MediaShelf $shelf,
    ) {
    }

    /**
     * @throws DebriefRefused if it stands in nothing that is shown in this lesson
     */
    public function bytes(string $lessonId, string $mediaId): Bytes
    {
        $copy = '' === $lessonId ? null : $this->reader->copyWith($lessonId, $mediaId);

        return $this->open($copy ?? throw DebriefRefused::missing(), $mediaId);
    }

    /**
     * @throws DebriefRefused if it stands nowhere in the copy where the class may look
     */
    public function ofCopy(WorkCopy $copy, string $mediaId): Bytes
    {
        $seen = json_encode($this->reader->whole($copy, false), \JSON_THROW_ON_ERROR);

        return str_contains($seen, $mediaId) ? $this->open($copy->id, $mediaId) : throw DebriefRefused::missing();
    }

    private function open(string $copyId, string $mediaId): Bytes
    {
        $open = $this->media->in($copyId, [$mediaId]);
        $media = [] === $open ? null : $this->em->find(Media::class, $open[0]);

        return null === $media
            ? throw DebriefRefused::missing() : new Bytes($this->shelf->bytes($media), $media->type);
    }
}
