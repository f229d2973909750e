<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Erasure;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Worker\PurgesExpired;
use FreshHuddle\App\Worker\Tasks;
use Symfony\Component\Clock\ClockInterface;

/**
 * The data of a class ends on a day its teacher sets. Four weeks before, its staff are told by mail; nothing goes
 * before they have known for so long.
 */
final readonly class ClassEnds implements PurgesExpired
{
    /** Days. */
    private const NOTICE = 28;
    private const DAY = 86_400_000;

    public function __construct(
        private EntityManagerInterface $em,
        private Transaction $transaction,
        private ClockInterface $clock,
        private Tasks $tasks,
        private Erasure $erasure,
    ) {
    }

    /**
     * @return \DateTimeImmutable the earliest day that can be set: everybody has to know before
     */
    public function earliest(): \DateTimeImmutable
    {
        return $this->clock->now()->setTime(0, 0)->modify('+'.(self::NOTICE + 1).' days');
    }

    /**
     * @param string|null $day as 2027-07-31; null: no end is set
     *
     * @throws RosterRefused if it is too soon
     */
    public function set(SchoolClass $class, ?string $day): void
    {
        $date = null === $day ? null : new \DateTimeImmutable($day);
        if (null !== $date && $date < $this->earliest()) {
            throw RosterRefused::unusable('roster.erase.too_soon', 'endsOn', ['days' => self::NOTICE]);
        }
        $this->transaction->run(static function () use ($class, $date): void {
            $class->endsOn = $date;
            $class->endAnnouncedAt = null;
        });
    }

    public function forgetOld(): void
    {
        $now = (int) $this->clock->now()->format('Uv');
        foreach ($this->before($this->clock->now()->modify('+'.self::NOTICE.' days')) as $class) {
            if (null === $class->endAnnouncedAt) {
                $this->transaction->run(function () use ($class, $now): void {
                    $class->endAnnouncedAt = $now;
                    $this->tasks->scheduleOnce(MailClassEnd::KIND, $class->id);
                });
            } elseif (
                $class->endsOn <= $this->clock->now()
                && $now >= $class->endAnnouncedAt + self::NOTICE * self::DAY
            ) {
                $this->erasure->eraseClass($class);
            }
        }
    }

    /**
     * @return list<SchoolClass> whose data ends before then
     */
    private function before(\DateTimeImmutable $day): array
    {
        /** @var list<SchoolClass> $classes */
        $classes = $this->em->createQueryBuilder()
            ->select('c')
            ->from(SchoolClass::class, 'c')
            ->where('c.endsOn IS NOT NULL AND c.endsOn <= :day')
            ->setParameter('day', $day, 'date_immutable')
            ->getQuery()
            ->getResult();

        return $classes;
    }
}
