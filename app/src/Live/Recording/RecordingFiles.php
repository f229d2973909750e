<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Recording;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Worker\PurgesExpired;

/**
 * Recordings are gone when their days are over.
 */
final readonly class RecordingFiles implements PurgesExpired
{
    /** What the media server has kept and nobody has wanted goes after so many seconds. */
    private const LEFT_OVER = 2 * 86_400;

    public function __construct(
        private EntityManagerInterface $em,
        private Recordings $recordings,
        private Mixer $mixer,
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
                $this->recordings->remove($recording);
            }
        }
        $this->mixer->forgetOld(intdiv($this->clock->ms(), 1_000) - self::LEFT_OVER);
    }
}
