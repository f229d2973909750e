<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Rooms\Own\MediaServer;
use FreshHuddle\App\Rooms\Own\MicrophoneTrials;
use FreshHuddle\App\Roster\Device\StudentDevice;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Ready\PlannedSound;
use FreshHuddle\Core\Rooms\MicrophoneOutcome;
use Symfony\Contracts\Cache\CacheInterface;
use Symfony\Contracts\Cache\ItemInterface;

/**
 * How sound stands for a class that meets in our own pages.
 */
final readonly class SoundReader
{
    /** Seconds for which an answer of the media server's counts: pages ask often. */
    private const KNOWN_FOR = 10;

    public function __construct(
        private MediaServer $media,
        private MicrophoneTrials $trials,
        private EntityManagerInterface $em,
        private CacheInterface $cache,
    ) {
    }

    public function forClass(SchoolClass $class): PlannedSound
    {
        $outcomes = $this->trials->ofClass($class);

        return new PlannedSound(
            !$this->cache->get('media-server-is-up', function (ItemInterface $item): bool {
                $item->expiresAfter(self::KNOWN_FOR);

                return $this->media->isUp();
            }),
            [] === $outcomes
                ? null
                : array_values(array_diff($this->joined($class), array_map(strval(...), array_keys($outcomes)))),
            array_keys(
                array_filter(
                    $outcomes,
                    static fn (MicrophoneOutcome $outcome): bool => MicrophoneOutcome::Unreachable === $outcome,
                ),
            ),
        );
    }

    /**
     * @return list<string> ids of students who have been on their page
     */
    private function joined(SchoolClass $class): array
    {
        $ids = $this->em
            ->createQuery(
                'SELECT s.id FROM '.Student::class.' s WHERE s.class = :class AND (s.passUsedAt IS NOT NULL OR EXISTS (
                    SELECT d FROM '.StudentDevice::class.' d WHERE d.student = s))',
            )
            ->setParameter('class', $class)
            ->getSingleColumnResult();

        return array_values(array_filter($ids, \is_string(...)));
    }
}
