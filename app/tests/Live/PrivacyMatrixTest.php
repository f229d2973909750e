<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Live\Presence\SeenMessage;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Stream\StreamAddress;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpClient\HttpClient;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\Uid\Uuid;
use Symfony\Contracts\HttpClient\HttpClientInterface;
use Symfony\Contracts\HttpClient\ResponseInterface;

/**
 * What a student can come to know, in every phase of a lesson, by every address there is (from the router) and by all
 * that their stream carries: nothing of another group, and nothing of their own before it is shown.
 */
final class PrivacyMatrixTest extends AppTestCase
{
    private const SECRET = 'the wall goes through the churchyard';
    private const PHASES = ['planned', 'looking', 'out', 'aside', 'comingBack', 'back'];

    private Json $lesson;
    private string $me;
    private string $them;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson(9, 3);
        foreach ([0 => 'Quarrymen', 1 => 'Millwrights', 2 => 'Saltpanners'] as $i => $name) {
            $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/edits', [
                'kind' => 'rename',
                'group' => $this->group($i),
                'name' => $name,
                'basedOn' => $this->again()->int('floor.step'),
            ])->is(200);
        }
        foreach ($this->lesson->list('floor.groups') as $i => $group) {
            \assert(\is_int($i));
            $room = Uuid::v4()->toRfc4122();
            $this->db()->insert('room', [
                'id' => $room,
                'class_id' => $this->lesson->text('classId'),
                'purpose' => 'group',
                'grouping_id' => $this->lesson->text('floor.id'),
                'group_id' => $this->group($i),
                'name' => "Chamber{$i}",
                'state' => 'made',
                'external_id' => "x{$i}",
                'source' => 'meetingService',
                'life' => 'grouping',
            ]);
            foreach ($this->lesson->texts("floor.groups.{$i}.students") as $student) {
                $this->db()->insert('room_member', [
                    'room_id' => $room,
                    'student_id' => $student,
                    'link' => "https://rooms.example/chamber{$i}/{$student}",
                ]);
            }
        }
        $this->me = $this->join($this->lesson, $this->lesson->text('floor.groups.0.students.0'));
        $this->them = $this->join($this->lesson, $this->lesson->text('floor.groups.1.students.0'));
        foreach ($this->lesson->list('students') as $i => $student) {
            \assert(\is_array($student) && \is_string($student['id']));
            $this->db()->executeStatement('UPDATE student SET name = ? WHERE id = ?', [
                "Name{$i}Unmistakable",
                $student['id'],
            ]);
        }
    }

    /**
     * @return iterable<string, array{string}>
     */
    public static function phases(): iterable
    {
        foreach ([...self::PHASES, 'heldUp', 'putDown', 'gallery', 'galleryClosed'] as $phase) {
            yield $phase => [$phase];
        }
    }

    #[DataProvider('phases')]
    public function test_no_address_says_what_is_not_for_this_student(string $phase): void
    {
        $this->bringTo($phase);
        $forbidden = [...$this->namesOf(1), ...$this->namesOf(2), ...'planned' === $phase ? $this->namesOf(0) : []];
        if ('heldUp' === $phase) {
            // What is shown is for all, and nothing of whose it is.
            $forbidden = array_diff($forbidden, [self::SECRET]);
        }
        if ('gallery' === $phase) {
            // All work is open, with the names of groups: and still nobody's room, and nobody's name.
            $open = ['Quarrymen', 'Millwrights', 'Saltpanners', self::SECRET];
            foreach ([1, 2] as $group) {
                $open[] = $this->copyOf($group);
            }
            $forbidden = array_diff($forbidden, $open);
        }
        $this->asStudent($this->me);
        $asked = 0;
        foreach ($this->service(RouterInterface::class)->getRouteCollection()->all() as $name => $route) {
            $path = $route->getPath();
            if (!\in_array('GET', $route->getMethods(), true) || str_contains($path, '/sign-')) {
                continue; // what changes something is asked by StudentPrivacyTest
            }
            foreach ($this->ids($path) as $id) {
                $url = strtr($path, [
                    '{id}' => $id,
                    '{slot}' => 'decision',
                    '{format}' => 'csv',
                    '{owner}' => $id,
                    '{variant}' => $id,
                    '{guest}' => $id,
                    '{task}' => $id,
                    '{turn}' => $id,
                    '{call}' => $id,
                    '{question}' => $id,
                    '{remark}' => $id,
                    '{segment}' => $id,
                    '{student}' => $id,
                    '{place}' => 'main',
                    '{moment}' => 'out',
                    '{what}' => 'slips',
                    '{media}' => $id,
                    '{note}' => $id,
                    '{seq}' => '1',
                    '{doorWord}' => $this->lesson->text('doorWord'),
                    '{token}' => str_repeat('x', 60),
                ]);
                $answer = $this->ask('GET', $url);
                $location = (string) $this->client->getResponse()->headers->get('Location');
                ++$asked;
                foreach ($forbidden as $secret) {
                    self::assertStringNotContainsString(
                        $secret,
                        $answer->raw.' '.$location,
                        "{$name} while {$phase}: {$url}",
                    );
                }
            }
        }
        self::assertGreaterThan(80, $asked);
    }

    public function test_what_is_shown_to_everybody_is_heard_without_names_and_stays_nowhere_in_the_stream(): void
    {
        $heard = $this->open($this->me);
        self::assertSame(1, preg_match('/^id: (\S+)$/m', $this->heard($heard, 'first'), $first));
        $this->bringTo('heldUp');
        $during = $this->heard($heard, 'shown');
        self::assertStringContainsString('"kind":"debriefNow"', $during);
        self::assertStringContainsString(self::SECRET, $during, 'everybody sees it at once');
        foreach (array_diff($this->namesOf(1), [self::SECRET]) as $secret) {
            self::assertStringNotContainsString($secret, $during);
        }
        $this->asTeacher();
        $this->ask('DELETE', '/api/staff/lessons/'.$this->lesson->text('id').'/debrief/shown')->is(200);
        // Whoever comes back to the stream from before, as after a line that was cut, is told what they have missed.
        $missed = $this->heard($this->open($this->me, $first[1]), 'last');
        self::assertStringContainsString('"kind":"debrief"', $missed, 'that there was something');
        self::assertStringNotContainsString(self::SECRET, $missed, 'and not what it was');
    }

    public function test_the_stream_of_a_student_carries_nothing_of_others_from_the_first_to_the_last(): void
    {
        $heard = $this->open($this->me);
        $theirs = $this->open($this->them);
        $beforeLooking = '';
        foreach (self::PHASES as $phase) {
            $this->bringTo($phase);
            $this->othersAreBusy();
            if ('planned' === $phase) {
                $beforeLooking = $this->heard($heard, 'planned');
            }
        }
        $all = $beforeLooking.$this->heard($heard, 'last');
        self::assertStringContainsString('"kind":"round"', $all, 'it carries what is for all');
        self::assertStringContainsString(self::SECRET, $this->heard($theirs, 'last', 1), 'and theirs what is theirs');
        foreach ([...$this->namesOf(1), ...$this->namesOf(2)] as $secret) {
            self::assertStringNotContainsString($secret, $all);
        }
        foreach ($this->namesOf(0) as $secret) {
            self::assertStringNotContainsString($secret, $beforeLooking);
        }
    }

    /**
     * From wherever the lesson is, on to a phase.
     */
    private function bringTo(string $phase): void
    {
        $this->asTeacher();
        if ('planned' === $phase) {
            return;
        }
        $this->setRound($this->lesson->text('id'), ['lookSeconds' => 'looking' === $phase ? 120 : 0]);
        $this->give(['kind' => 'sendOut']);
        if ('looking' !== $phase) {
            $this->db()->executeStatement(
                'UPDATE round SET out_at = look_from',
            );
            $this->othersAreBusy();
        }
        match ($phase) {
            'aside' => $this->give([
                'kind' => 'takeAside',
                'students' => [$this->lesson->text('floor.groups.0.students.0')],
                'place' => 'main',
            ]),
            'comingBack' => $this->give(['kind' => 'callBack', 'seconds' => 120]),
            'back', 'heldUp', 'putDown', 'gallery', 'galleryClosed' => $this->give(['kind' => 'callBack', 'seconds' => 0]),
            default => null,
        };
        if (\in_array($phase, ['back', 'heldUp', 'putDown', 'gallery', 'galleryClosed'], true)) {
            $this->db()->executeStatement('UPDATE round SET back_at = out_at');
        }
        if (\in_array($phase, ['gallery', 'galleryClosed'], true)) {
            $gallery = '/api/staff/lessons/'.$this->lesson->text('id').'/debrief/gallery';
            $this->ask('PUT', $gallery, ['remarks' => true])->is(200);
            if ('galleryClosed' === $phase) {
                $this->ask('DELETE', $gallery)->is(200);
            }
        }
        if (\in_array($phase, ['heldUp', 'putDown'], true)) {
            $shown = '/api/staff/lessons/'.$this->lesson->text('id').'/debrief/shown';
            $this->ask('POST', $shown, ['copy' => $this->copyOf(1), 'page' => 'page-1'])->is(200);
            if ('putDown' === $phase) {
                $this->ask('DELETE', $shown)->is(200);
            }
        }
    }

    /**
     * @param array<string, mixed> $command
     */
    private function give(array $command): void
    {
        $this->ask('POST', '/api/staff/lessons/'.$this->lesson->text('id').'/commands', $command, [
            'Idempotency-Key' => Uuid::v4()->toRfc4122(),
        ])->is(200);
    }

    /**
     * Another group writes, calls, is written to, visited, marked and moved.
     */
    private function othersAreBusy(): void
    {
        $copy = $this->copyOf(1);
        $this->asStudent($this->them);
        $this->ask('PUT', "/api/student/copies/{$copy}/slots/decision", [
            'save' => Uuid::v4()->toRfc4122(),
            'base' => '',
            'text' => self::SECRET,
        ]);
        $this->ask('PUT', '/api/student/call', ['about' => 'stuck']);
        $this->asTeacher();
        $this->ask('POST', "/api/staff/copies/{$copy}/notes", ['slot' => 'decision', 'text' => self::SECRET]);
        $id = $this->lesson->text('id');
        foreach (
            [
                ['kind' => 'seeCall', 'group' => $this->group(1)],
                ['kind' => 'visit', 'group' => $this->group(1)],
                ['kind' => 'chalk', 'group' => $this->group(1), 'mark' => 'seen'],
                ['kind' => 'leave'],
                ['kind' => 'say', 'text' => self::SECRET, 'groups' => [$this->group(1)]],
                [
                    'kind' => 'say',
                    'text' => self::SECRET,
                    'students' => [$this->lesson->text('floor.groups.1.students.0')],
                ],
                [
                    'kind' => 'takeAside',
                    'students' => [$this->lesson->text('floor.groups.1.students.1')],
                    'place' => 'main',
                ],
                ['kind' => 'putBack', 'students' => [$this->lesson->text('floor.groups.1.students.1')]],
                ['kind' => 'fetch', 'students' => [$this->lesson->text('floor.groups.1.students.0')]],
            ] as $command
        ) {
            $this->ask('POST', "/api/staff/lessons/{$id}/commands", $command, [
                'Idempotency-Key' => Uuid::v4()->toRfc4122(),
            ]);
        }
        [$one, $two] = [
            $this->lesson->text('floor.groups.1.students.2'),
            $this->lesson->text('floor.groups.2.students.2'),
        ];
        foreach ([[$one, $two], [$one, $two]] as [$student, $other]) {
            $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/edits', [
                'kind' => 'swap',
                'student' => $student,
                'other' => $other,
                'basedOn' => $this->again()->int('floor.step'),
            ])->is(200);
        }
    }

    /**
     * @return list<string> what says something of a group: its name, room, link and work, its id, and its members'
     *                      names
     */
    private function namesOf(int $group): array
    {
        $names = [
            ['Quarrymen', 'Millwrights', 'Saltpanners'][$group],
            "Chamber{$group}",
            "chamber{$group}",
            '"'.$this->group($group).'"',
            $this->copyOf($group),
        ];
        if (0 !== $group) {
            $names[] = self::SECRET;
        }
        $me = $this->lesson->text('floor.groups.0.students.0');
        foreach ($this->lesson->list('students') as $i => $student) {
            \assert(\is_array($student));
            if (
                $student['id'] !== $me
                && \in_array($student['id'], $this->lesson->texts("floor.groups.{$group}.students"), true)
            ) {
                $names[] = "Name{$i}Unmistakable";
            }
        }

        return $names;
    }

    /**
     * @return list<string>
     */
    private function ids(string $path): array
    {
        if (!str_contains($path, '{')) {
            return [''];
        }

        return [
            $this->group(1),
            $this->copyOf(1),
            $this->group(0),
            $this->lesson->text('round.id'),
            $this->lesson->text('id'),
            $this->lesson->text('floor.id'),
            $this->lesson->text('classId'),
        ];
    }

    private function again(): Json
    {
        $this->asTeacher();

        return $this->ask('GET', '/api/staff/lessons/'.$this->lesson->text('id'))->is(200);
    }

    private function group(int $index): string
    {
        return $this->lesson->text("floor.groups.{$index}.id");
    }

    private function copyOf(int $group): string
    {
        $id = $this->db()->fetchOne('SELECT id FROM work_copy WHERE group_id = ?', [$this->group($group)]);
        \assert(\is_string($id));

        return $id;
    }

    /**
     * @param string|null $from the last message that was heard; null: only what is said from now on
     *
     * @return array{HttpClientInterface, ResponseInterface} the stream of a device, over the instance's own nginx
     */
    private function open(string $cookie, ?string $from = null): array
    {
        $this->asStudent($cookie);
        $this->ask('GET', '/api/student/stream')->is(200);
        $channel = $this->db()->fetchOne('SELECT channel FROM student_device WHERE token_hash = ?', [
            hash('sha256', $cookie),
        ]);
        \assert(\is_string($channel));
        $base = $_ENV['PUBLIC_URL'] ?? null;
        self::assertIsString($base);
        $client = HttpClient::create([
            'headers' => ['Accept' => 'text/event-stream'] + (null === $from ? [] : ['Last-Event-ID' => $from]),
        ]);
        $response = $client->request('GET', $base.$this->service(StreamAddress::class)->forChannel($channel)->address, [
            'buffer' => false,
        ]);
        self::assertSame(200, $response->getStatusCode());

        return [$client, $response];
    }

    /**
     * @param array{HttpClientInterface, ResponseInterface} $stream
     *
     * @return string all that was heard, up to a word said now
     */
    private function heard(array $stream, string $until, int $group = 0): string
    {
        $this->service(Stream::class)->publish(
            [Audience::student($this->lesson->text("floor.groups.{$group}.students.0"))],
            new SeenMessage($until),
        );
        $heard = '';
        foreach ($stream[0]->stream($stream[1], 5) as $chunk) {
            if ($chunk->isTimeout()) {
                self::fail("“{$until}” was never heard.");
            }
            $heard .= $chunk->getContent();
            if (str_contains($heard, "\"place\":\"{$until}\"")) {
                break;
            }
        }

        return $heard;
    }
}
