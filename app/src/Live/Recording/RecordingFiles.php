<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Recording;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Materials\Media\Store\FileAway;
use FreshHuddle\App\Materials\Media\Store\FileStore;
use FreshHuddle\App\Worker\PurgesExpired;

/**
 * Recordings are gone when their days are over, or when somebody throws them away: first their bytes, then what is said
 * of them.
 */
final readonly class RecordingFiles implements PurgesExpired
{
    /** What the media server has kept and nobody has wanted goes after so many seconds. */
    private const LEFT_OVER = 2 * 86_400;

    public function __construct(
        private EntityManagerInterface $em,
        private Recordings $recordings,
        private Mixer $mixer,
        private FileStore $store,
        private Clock $clock,
    ) {
    }

    public function forgetOld(): void
    {
        $due = $this->em
            ->createQuery('SELECT r FROM '.Recording::class.' r WHERE r.expiresAt < ?1 ORDER BY r.expiresAt')
            ->setParameter(1, $this->clock->ms())
            ->setMaxResults(200)
            ->getResult();
        foreach (\is_array($due) ? $due : [] as $recording) {
            if ($recording instanceof Recording) {
                $this->remove($recording);
            }
        }
        $this->mixer->forgetOld(intdiv($this->clock->ms(), 1_000) - self::LEFT_OVER);
    }

    /**
     * A store that is away keeps the bytes, and the recording stays: it is tried again.
     */
    public function remove(Recording $recording): void
    {
        try {
            if (null !== $recording->file) {
                $this->store->drop($recording->file);
            }
        } catch (FileAway) {
            return;
        }
        $this->recordings->remove($recording);
    }
}
