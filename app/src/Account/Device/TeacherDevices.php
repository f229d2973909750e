<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Device;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Stream\Channel;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\PurgesExpired;
use Psr\Clock\ClockInterface;
use Symfony\Component\Uid\Uuid;

/**
 * The devices teachers are signed in on.
 */
final readonly class TeacherDevices implements PurgesExpired
{
    public const COOKIE = 'fh_staff';
    /** How long a sign-in lasts, in seconds. */
    public const LASTS = 43_200;

    public function __construct(
        private EntityManagerInterface $em,
        private ClockInterface $clock,
        private Stream $stream,
    ) {
    }

    /**
     * @return string the cookie's value
     */
    public function signIn(Teacher $teacher): string
    {
        $token = bin2hex(random_bytes(32));
        $now = $this->clock->now();
        $this->em->persist(
            new TeacherDevice(
                Uuid::v7()->toRfc4122(),
                $teacher,
                hash('sha256', $token),
                Channel::fresh(),
                $now,
                $now->modify('+'.self::LASTS.' seconds'),
            ),
        );
        $this->em->flush();

        return $token;
    }

    /**
     * @return TeacherDevice|null null if no device has this cookie, or its time is over
     */
    public function find(string $token): ?TeacherDevice
    {
        $found = $this->em
            ->createQueryBuilder()
            ->select('d', 't')
            ->from(TeacherDevice::class, 'd')
            ->join('d.teacher', 't')
            ->where('d.tokenHash = :hash')
            ->andWhere('d.until > :now')
            ->setParameter('hash', hash('sha256', $token))
            ->setParameter('now', $this->clock->now(), 'datetimetz_immutable')
            ->getQuery()
            ->getOneOrNullResult();

        return $found instanceof TeacherDevice ? $found : null;
    }

    /**
     * Signs the device out; what it listens to ends.
     */
    public function signOut(string $token): void
    {
        $device = $this->find($token);
        if (null !== $device) {
            $this->em->remove($device);
            $this->em->flush();
            $this->stream->end([$device->channel]);
        }
    }

    /**
     * @return list<TeacherDevice> the latest first
     */
    public function forTeacher(Teacher $teacher): array
    {
        /** @var list<TeacherDevice> $devices */
        $devices = $this->em
            ->createQueryBuilder()
            ->select('d')
            ->from(TeacherDevice::class, 'd')
            ->where('d.teacher = :teacher')
            ->andWhere('d.until > :now')
            ->setParameter('teacher', $teacher)
            ->setParameter('now', $this->clock->now(), 'datetimetz_immutable')
            ->orderBy('d.id', 'DESC')
            ->getQuery()
            ->getResult();

        return $devices;
    }

    /**
     * Signs the teacher out on every device but one.
     *
     * @param TeacherDevice|null $current null: on every one
     */
    public function signOutOthers(Teacher $teacher, ?TeacherDevice $current): void
    {
        $channels = [];
        foreach ($this->forTeacher($teacher) as $device) {
            if ($device !== $current) {
                $channels[] = $device->channel;
                $this->em->remove($device);
            }
        }
        $this->em->flush();
        $this->stream->end($channels);
    }

    public function forgetOld(): void
    {
        $this->em
            ->createQueryBuilder()
            ->delete(TeacherDevice::class, 'd')
            ->where('d.until <= :now')
            ->setParameter('now', $this->clock->now(), 'datetimetz_immutable')
            ->getQuery()
            ->execute();
    }
}
