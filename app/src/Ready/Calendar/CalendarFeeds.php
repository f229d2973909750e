<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Calendar;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Http\SignedAddress;
use FreshHuddle\Core\Ready\Calendar\Entry;
use FreshHuddle\Core\Ready\Calendar\LessonEntries;
use Sabre\VObject\Component\VCalendar;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * Teachers' lessons as calendars (RFC 5545): at a secret address that can be renewed, and as a file of one lesson.
 * Rooms are entries of their own only where that is asked for.
 */
final readonly class CalendarFeeds
{
    private const WHAT = 'calendar';

    public function __construct(
        private EntityManagerInterface $em,
        private CalendarReader $reader,
        private SignedAddress $address,
        private Clock $clock,
        #[Autowire('%env(PUBLIC_URL)%')]
        private string $publicUrl,
        private Transaction $transaction,
    ) {
    }

    public function address(Teacher $teacher): string
    {
        return "{$this->publicUrl}/api/calendar/{$this->address->create(
            self::WHAT,
            $teacher->id,
            $this->number($teacher->id),
        )}.ics";
    }

    /** Another address; the one before shows nothing any more. */
    public function renew(Teacher $teacher): void
    {
        $this->transaction->run(function () use ($teacher): void {
            $this->em->lock($teacher, LockMode::PESSIMISTIC_WRITE);
            $address = $this->em->find(CalendarAddress::class, $teacher->id) ?? new CalendarAddress($teacher);
            ++$address->number;
            $this->em->persist($address);
        });
    }

    /**
     * @return string|null the calendar in iCalendar's form; null where the address opens nothing
     */
    public function feed(string $token, bool $withRooms = false): ?string
    {
        $id = SignedAddress::id($token);
        $teacher = null === $id ? null : $this->em->find(Teacher::class, $id);
        if (
            null === $teacher
            || !$this->address->opens(self::WHAT, $teacher->id, $this->number($teacher->id), $token)
        ) {
            return null;
        }
        $now = $this->clock->ms();

        return $this->transaction->run(function () use ($teacher, $now, $withRooms): string {
            $this->em->lock($teacher, LockMode::PESSIMISTIC_WRITE); // two that ask at once are told the same
            $known = [];
            foreach ($this->em->getRepository(CalendarEntry::class)->findBy(['teacher' => $teacher]) as $entry) {
                $known[$entry->uid] = $entry;
            }
            $calendar = self::calendar();
            foreach ($this->reader->entries($teacher->id, $now, null, $withRooms) as $entry) {
                $kept = $known[$entry->uid] ?? new CalendarEntry($teacher, $entry->uid);
                unset($known[$entry->uid]);
                $kept->tell($entry, $now);
                $this->em->persist($kept);
                self::add($calendar, $entry, $kept->sequence, $kept->changedAt);
            }
            foreach ($known as $gone) {
                if ($gone->end < $now - CalendarReader::KEEPS) {
                    $this->em->remove($gone);
                    continue;
                }
                // A room isn't gone because this calendar didn't ask for rooms: it is cancelled here, and kept for
                // those that do.
                $isUnasked = !$withRooms && LessonEntries::isRoom($gone->uid);
                if (!$isUnasked) {
                    $gone->cancel($now);
                }
                $entry = new Entry($gone->uid, $gone->title, $gone->start, $gone->end);
                self::add($calendar, $entry, $gone->sequence + ($isUnasked ? 1 : 0), $gone->changedAt, true);
            }

            return (string) $calendar->serialize();
        });
    }

    /**
     * One lesson, for a file.
     */
    public function file(Teacher $teacher, string $lessonId, bool $withRooms = false): string
    {
        $calendar = self::calendar();
        foreach ($this->reader->entries($teacher->id, 0, $lessonId, $withRooms) as $entry) {
            self::add($calendar, $entry, 0, $this->clock->ms());
        }

        return (string) $calendar->serialize();
    }

    private function number(string $teacherId): int
    {
        return $this->em->find(CalendarAddress::class, $teacherId)->number ?? 0;
    }

    private static function calendar(): VCalendar
    {
        return new VCalendar([
            'PRODID' => '-//Fresh Huddle//EN',
            'METHOD' => 'PUBLISH',
            'X-PUBLISHED-TTL' => 'PT15M',
        ]);
    }

    private static function add(
        VCalendar $calendar,
        Entry $entry,
        int $sequence,
        int $changedAt,
        bool $cancelled = false,
    ): void {
        $calendar->add(
            'VEVENT',
            array_filter(
                [
                    'UID' => $entry->uid,
                    'DTSTAMP' => self::moment($changedAt),
                    'LAST-MODIFIED' => self::moment($changedAt),
                    'SEQUENCE' => $sequence,
                    'STATUS' => $cancelled ? 'CANCELLED' : 'CONFIRMED',
                    'SUMMARY' => $entry->title,
                    'DTSTART' => self::moment($entry->start),
                    'DTEND' => self::moment($entry->end),
                    'LOCATION' => $entry->where,
                    'DESCRIPTION' => $entry->text,
                ],
                static fn (\DateTimeImmutable|int|string $value): bool => '' !== $value,
            ),
        );
    }

    /**
     * In universal time: right in every time zone, on either side of a change of the clocks.
     */
    private static function moment(int $ms): \DateTimeImmutable
    {
        return (new \DateTimeImmutable('@'.intdiv($ms, 1_000)))->setTimezone(new \DateTimeZone('UTC'));
    }
}
