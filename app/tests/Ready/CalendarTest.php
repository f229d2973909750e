<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Ready;

use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use PHPUnit\Framework\Attributes\DataProvider;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Property;
use Sabre\VObject\Property\ICalendar\DateTime as Moment;
use Sabre\VObject\Reader;

/**
 * The calendar, read back as a program that keeps calendars reads it.
 */
final class CalendarTest extends AppTestCase
{
    private Json $lesson;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson();
        $this->ask('PUT', '/api/staff/rounds/'.$this->lesson->text('round.id').'/links', [
            'text' => "main https://rooms.example/all\nhttps://rooms.example/a\nhttps://rooms.example/b",
        ])->is(200);
        $this->starts('2027-03-26T09:00:00Z');
    }

    public function test_a_lesson_is_one_entry_with_its_rooms_in_the_text(): void
    {
        $events = $this->feed('');
        self::assertSame(['lesson-'.$this->lesson->text('id').'@fresh-huddle'], array_keys($events));
        [$lesson] = array_values($events);
        foreach ([0, 1] as $group) {
            self::assertMatchesRegularExpression(
                '~'.preg_quote($this->lesson->text("floor.groups.{$group}.name")).': \S+/way~',
                $lesson['DESCRIPTION'],
            );
        }
        self::assertStringNotContainsString(
            'rooms.example',
            $lesson['DESCRIPTION'],
            'no link that lets anybody else in',
        );
        $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id').'/calendar.ics')->is(200);
        self::assertCount(1, self::read((string) $this->client->getResponse()->getContent()));
    }

    public function test_rooms_that_a_calendar_was_told_of_once_are_cancelled_where_it_asks_for_lessons_alone(): void
    {
        self::assertCount(3, $this->feed());
        $alone = $this->feed('');
        self::assertSame(['CONFIRMED' => 1, 'CANCELLED' => 2], array_count_values(array_column($alone, 'STATUS')));
        self::assertSame(
            ['CONFIRMED' => 3],
            array_count_values(array_column($this->feed(), 'STATUS')),
            'who asks for rooms keeps them',
        );
    }

    public function test_each_room_is_an_entry_of_its_own_when_and_where_it_is_where_that_is_asked_for(): void
    {
        $events = $this->feed();
        self::assertCount(3, $events);
        $main = $events['lesson-'.$this->lesson->text('id').'@fresh-huddle'];
        self::assertSame(
            ['Where does the wall go? · 9G', '2027-03-26 09:00', '2027-03-26 09:50'],
            [$main['SUMMARY'], self::at($main['DTSTART']), self::at($main['DTEND'])],
        );
        self::assertStringEndsWith('/way', $main['LOCATION']);
        self::assertStringContainsString($this->lesson->text('doorWord'), $main['DESCRIPTION']);
        $room =
            $events[
                'room-'.
                    $this->lesson->text('round.id').
                    '-'.
                    $this->lesson->text('floor.groups.0.id').
                    '@fresh-huddle'
            ];
        self::assertSame(
            ['2027-03-26 09:12', '2027-03-26 09:37'],
            [self::at($room['DTSTART']), self::at($room['DTEND'])],
            'after the briefing, as long as the round',
        );
        self::assertStringNotContainsString(
            'rooms.example',
            implode('', array_merge(...array_map(array_values(...), array_values($events)))),
            'no link that lets anybody else in',
        );
    }

    #[DataProvider('moments')]
    public function test_it_is_right_in_every_time_zone_and_when_the_clocks_change(
        string $startsAt,
        string $zone,
        string $there,
    ): void {
        $this->starts($startsAt);
        $start = $this->feed()['lesson-'.$this->lesson->text('id').'@fresh-huddle']['DTSTART'];
        self::assertSame($there, self::at($start, $zone));
    }

    /**
     * @return iterable<array{string, string, string}>
     */
    public static function moments(): iterable
    {
        yield ['2027-03-26T09:00:00+01:00', 'Europe/Berlin', '2027-03-26 09:00'];
        yield ['2027-03-29T09:00:00+02:00', 'Europe/Berlin', '2027-03-29 09:00'];
        yield ['2027-03-28T00:30:00Z', 'Europe/Berlin', '2027-03-28 01:30'];
        yield ['2027-03-28T01:00:00Z', 'Europe/Berlin', '2027-03-28 03:00'];
        yield ['2027-10-31T00:59:00Z', 'Europe/Berlin', '2027-10-31 02:59'];
        yield ['2027-03-26T09:00:00+05:45', 'Asia/Kathmandu', '2027-03-26 09:00'];
        yield ['2027-12-31T23:30:00-10:00', 'Pacific/Honolulu', '2027-12-31 23:30'];
    }

    public function test_a_change_is_the_same_thing_with_a_higher_number_and_what_is_gone_is_cancelled(): void
    {
        $uid = 'lesson-'.$this->lesson->text('id').'@fresh-huddle';
        self::assertSame(['0', 'CONFIRMED'], self::told($this->feed()[$uid]));
        self::assertSame(['0', 'CONFIRMED'], self::told($this->feed()[$uid]), 'asked again, nothing has changed');
        $this->starts('2027-03-26T10:00:00Z');
        self::assertSame(['1', 'CONFIRMED'], self::told($this->feed()[$uid]));
        $this->ask('DELETE', '/api/staff/lessons/'.$this->lesson->text('id'))->is(204);
        $events = $this->feed();
        self::assertSame(
            [['2', 'CANCELLED']],
            array_values(array_unique(array_map(self::told(...), \array_slice($events, 0, 1)), \SORT_REGULAR)),
        );
        self::assertCount(3, $events, 'the rooms too');
        $this->ask('POST', '/api/staff/lessons/'.$this->lesson->text('id').'/restore')->is(204);
        self::assertSame(['3', 'CONFIRMED'], self::told($this->feed()[$uid]));
    }

    public function test_a_group_that_goes_takes_its_room_out_of_the_calendar(): void
    {
        $this->feed();
        $gone = $this->lesson->text('floor.groups.1.id');
        foreach ($this->lesson->texts('floor.groups.1.students') as $i => $student) {
            $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/edits', [
                'basedOn' => 1 + $i,
                'kind' => 'shelve',
                'student' => $student,
            ])->is(200);
        }
        $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/edits', [
            'basedOn' => 4,
            'kind' => 'removeTable',
            'group' => $gone,
        ])->is(200);
        self::assertSame(
            'CANCELLED',
            $this->feed()['room-'.$this->lesson->text('round.id').'-'.$gone.'@fresh-huddle']['STATUS'],
        );
    }

    public function test_the_address_is_secret_and_can_be_renewed_and_another_teacher_sees_their_own(): void
    {
        $address = $this->path();
        $this->asTeacher($this->newTeacher('otto@larkmouth.example'));
        $other = $this->path();
        self::assertNotSame($address, $other);
        $this->asNobody();
        $this->ask('GET', $other)->is(200);
        self::assertStringNotContainsString(
            'Where does the wall go?',
            (string) $this->client->getResponse()->getContent(),
        );
        foreach (
            [substr($address, 0, -6).'A.ics', str_replace('.ics', 'x.ics', $address), '/api/calendar/x.ics'] as $forged
        ) {
            $this->ask('GET', $forged)->is(404);
        }
        $this->asTeacher();
        $renewed = (string) parse_url($this->ask('POST', '/api/staff/calendar')->text('address'), \PHP_URL_PATH);
        $this->asNobody();
        $this->ask('GET', $address)->is(404);
        $this->ask('GET', $renewed)->is(200);
    }

    public function test_one_lesson_is_there_as_a_file(): void
    {
        $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id').'/calendar.ics')->is(200);
        self::assertStringStartsWith(
            'text/calendar',
            (string) $this->client->getResponse()->headers->get('Content-Type'),
        );
        self::assertCount(1, self::read((string) $this->client->getResponse()->getContent()));
        $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id').'/calendar.ics?rooms=1')->is(200);
        self::assertCount(3, self::read((string) $this->client->getResponse()->getContent()));
    }

    public function test_names_with_anything_in_them_stay_one_line_of_it(): void
    {
        $this->ask('PATCH', '/api/staff/lessons/'.$this->lesson->text('id'), [
            'title' => 'Flood; wall, \\n BEGIN:VEVENT',
        ])->is(200);
        $events = $this->feed();
        self::assertCount(3, $events);
        self::assertSame(
            'Flood; wall, \\n BEGIN:VEVENT · 9G',
            $events['lesson-'.$this->lesson->text('id').'@fresh-huddle']['SUMMARY'],
        );
    }

    private function starts(string $at): void
    {
        $this->ask('PATCH', '/api/staff/lessons/'.$this->lesson->text('id'), [
            'startsAt' => 1_000 * (new \DateTimeImmutable($at))->getTimestamp(),
        ]);
    }

    private function path(): string
    {
        return (string) parse_url($this->ask('GET', '/api/staff/calendar')->is(200)->text('address'), \PHP_URL_PATH);
    }

    /**
     * @return array<string, array<string, string>> by name, each with its fields; moments in universal time
     */
    private function feed(string $query = '?rooms=1'): array
    {
        $path = $this->path();
        $this->ask('GET', $path.$query)->is(200);

        return self::read((string) $this->client->getResponse()->getContent());
    }

    /**
     * @return array<string, array<string, string>> by name, each with its fields; moments in universal time
     */
    private static function read(string $text): array
    {
        $calendar = Reader::read($text);
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], array_column($calendar->validate(), 'message'));
        $events = [];
        foreach ($calendar->select('VEVENT') as $event) {
            self::assertInstanceOf(VEvent::class, $event);
            $fields = ['LOCATION' => '', 'DESCRIPTION' => ''];
            foreach ($event->children() as $field) {
                self::assertInstanceOf(Property::class, $field);
                $value =
                    $field instanceof Moment
                        ? $field->getDateTime()->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i')
                        : $field->getValue();
                self::assertIsScalar($value);
                $fields[(string) $field->name] = (string) $value;
            }
            $events[$fields['UID'] ?? ''] = $fields;
        }

        return $events;
    }

    /**
     * @param array<string, string> $event
     *
     * @return array{string, string} number and state
     */
    private static function told(array $event): array
    {
        return [$event['SEQUENCE'], $event['STATUS']];
    }

    private static function at(string $moment, string $zone = 'UTC'): string
    {
        return (new \DateTimeImmutable($moment, new \DateTimeZone('UTC')))
            ->setTimezone(new \DateTimeZone($zone))
            ->format('Y-m-d H:i');
    }
}
