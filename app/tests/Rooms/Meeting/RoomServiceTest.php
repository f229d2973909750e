<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Rooms\Meeting;

use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomService;
use FreshHuddle\App\Rooms\Meeting\StandinMeetingService;
use FreshHuddle\Core\Rooms\RoomPermissions;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\HttpClient\HttpClient;
use Symfony\Component\Uid\Uuid;
use Symfony\Contracts\HttpClient\HttpClientInterface;

/**
 * What every service in which people meet has to do, asked over real HTTP. Another one is a row in `services`.
 */
final class RoomServiceTest extends KernelTestCase
{
    private static string $person;
    private static string $browser = '';

    protected function setUp(): void
    {
        self::$person = 'p'.substr(Uuid::v4()->toRfc4122(), 0, 8);
        self::misbehave('fail', 0);
    }

    protected function tearDown(): void
    {
        self::misbehave('fail', 0);
        parent::tearDown();
    }

    /**
     * @param class-string<RoomService> $class
     */
    #[DataProvider('services')]
    public function test_the_same_key_gives_the_same_room_and_another_another(string $class): void
    {
        $service = self::service($class);
        $key = Uuid::v4()->toRfc4122();
        $room = $service->make($key, 'Quayside', new RoomPermissions());
        self::assertSame($room, $service->make($key, 'Quayside', new RoomPermissions()));
        self::assertNotSame($room, $service->make(Uuid::v4()->toRfc4122(), 'Quayside', new RoomPermissions()));
    }

    /**
     * @param class-string<RoomService> $class
     */
    #[DataProvider('services')]
    public function test_every_member_has_a_link_of_their_own_that_stays_while_they_do(string $class): void
    {
        $service = self::service($class);
        $room = $service->make(Uuid::v4()->toRfc4122(), 'Quayside', new RoomPermissions());
        $before = $service->setMembers($room, [self::$person => 'Ada', self::$person.'b' => 'Ben']);
        self::assertSame([self::$person, self::$person.'b'], array_keys($before));
        self::assertNotSame($before[self::$person], $before[self::$person.'b']);
        self::assertSame(
            $before,
            $service->setMembers($room, [self::$person => 'Ada', self::$person.'b' => 'Ben']),
            'said twice, done once',
        );
        $after = $service->setMembers($room, [self::$person => 'Ada', self::$person.'c' => 'Chi']);
        self::assertSame($before[self::$person], $after[self::$person], 'who stays keeps theirs');
        self::assertSame(200, self::open($service, $after[self::$person.'c']));
        self::assertNotSame(200, self::open($service, $before[self::$person.'b']), 'who has left is not let in');
    }

    /**
     * @param class-string<RoomService> $class
     */
    #[DataProvider('services')]
    public function test_who_is_in_a_room_is_known_and_who_is_moved_is_in_the_other(string $class): void
    {
        $service = self::service($class);
        $one = $service->make(Uuid::v4()->toRfc4122(), 'Quayside', new RoomPermissions());
        $other = $service->make(Uuid::v4()->toRfc4122(), 'Millbrook', new RoomPermissions());
        $links = $service->setMembers($one, [self::$person => 'Ada']);
        $service->setMembers($other, [self::$person => 'Ada']);
        self::assertArrayNotHasKey(self::$person, $service->whoIsThere([$one, $other]));
        $service->move([self::$person => $other]);
        self::assertArrayNotHasKey(
            self::$person,
            $service->whoIsThere([$one, $other]),
            'who is nowhere is not put anywhere',
        );
        self::open($service, $links[self::$person]);
        self::assertSame($one, $service->whoIsThere([$one, $other])[self::$person]['room'] ?? null);
        $service->move([self::$person => $other]);
        $service->move([self::$person => $other]);
        self::isHere($links[self::$person]);
        self::assertSame($other, $service->whoIsThere([$one, $other])[self::$person]['room'] ?? null);
    }

    /**
     * @param class-string<RoomService> $class
     */
    #[DataProvider('services')]
    public function test_a_link_alone_lets_nobody_in(string $class): void
    {
        $service = self::service($class);
        $room = $service->make(Uuid::v4()->toRfc4122(), 'Quayside', new RoomPermissions());
        $link = $service->setMembers($room, [self::$person => 'Ada'])[self::$person];
        HttpClient::create(['max_redirects' => 0])
            ->request('GET', $link)
            ->getStatusCode();
        self::assertArrayNotHasKey(self::$person, $service->whoIsThere([$room]));
    }

    /**
     * @param class-string<RoomService> $class
     */
    #[DataProvider('services')]
    public function test_what_goes_wrong_over_there_is_said_and_whether_trying_again_is_of_use(string $class): void
    {
        $service = self::service($class);
        foreach (['fail' => true, 'refuse' => false, 'lie' => true] as $kind => $worthRetrying) {
            self::misbehave($kind, 1);
            try {
                $service->setMembers($service->make(Uuid::v4()->toRfc4122(), 'Quayside', new RoomPermissions()), [
                    self::$person => 'Ada',
                ]);
                self::fail("{$kind}: nothing was said");
            } catch (MeetingServiceFailed $e) {
                self::assertStringStartsWith('rooms.service.', $e->says->code);
                self::assertSame($worthRetrying, $e->worthRetrying, $kind);
            }
            self::misbehave($kind, 0);
        }
    }

    /**
     * @param class-string<RoomService> $class
     */
    #[DataProvider('services')]
    public function test_how_a_room_is_over_there_is_told_and_what_is_not_there_is_not(string $class): void
    {
        $service = self::service($class);
        $room = $service->make(Uuid::v4()->toRfc4122(), 'Quayside', new RoomPermissions(write: false));
        $links = $service->setMembers($room, [self::$person => 'Ada', self::$person.'b' => 'Ben']);
        $state = $service->states([$room, 'mffffffffffffffff'])[$room];
        self::assertSame([$room], array_keys($service->states([$room, 'mffffffffffffffff'])));
        self::assertSame(
            ['Quayside', true, 0, 2, 0, false],
            [$state->name, $state->open, $state->people, $state->members, $state->recordings, $state->allowed->write],
        );
        $service->change($room, 'Millbrook', new RoomPermissions(record: true));
        $silence = $service->listen($room);
        self::open($service, $links[self::$person]);
        self::assertNotSame($silence, $heard = $service->listen($room), 'somebody is to be heard');
        $other = $service->make(Uuid::v4()->toRfc4122(), 'Saltmarsh', new RoomPermissions());
        self::assertSame($silence, $service->listen($other), 'and in no other room');
        self::assertStringStartsWith('RIFF', $heard);
        $service->record($room, true);
        $service->record($room, true);
        $state = $service->states([$room])[$room];
        self::assertSame(
            ['Millbrook', 1, true, 1, true],
            [$state->name, $state->people, $state->allowed->record, $state->recordings, $state->recording],
        );
        $service->record($room, false);
        self::assertFalse($service->states([$room])[$room]->recording);
    }

    /**
     * @param class-string<RoomService> $class
     */
    #[DataProvider('services')]
    public function test_a_closed_room_lets_nobody_in_until_it_is_open_again_and_one_that_is_retired_is_gone(
        string $class,
    ): void {
        $service = self::service($class);
        $room = $service->make(Uuid::v4()->toRfc4122(), 'Quayside', new RoomPermissions());
        $link = $service->setMembers($room, [self::$person => 'Ada'])[self::$person];
        self::open($service, $link);
        $service->open($room, false);
        $service->open($room, false);
        self::assertSame(
            [0, false],
            [$service->states([$room])[$room]->people, $service->states([$room])[$room]->open],
        );
        self::isHere($link);
        self::assertSame(0, $service->states([$room])[$room]->people);
        $service->open($room, true);
        self::isHere($link);
        self::assertSame(1, $service->states([$room])[$room]->people, 'by the same link');
        $service->retire($room);
        $service->retire($room);
        self::assertSame([], $service->states([$room]));
        self::assertNotSame(200, self::open($service, $link));
    }

    /**
     * @return iterable<string, array{class-string<RoomService>}>
     */
    public static function services(): iterable
    {
        yield 'the stand-in' => [StandinMeetingService::class];
    }

    /**
     * @param class-string<RoomService> $class
     */
    private static function service(string $class): RoomService
    {
        $service = self::getContainer()->get($class);
        self::assertInstanceOf(RoomService::class, $service);

        return $service;
    }

    /**
     * As a browser does that is shown in.
     *
     * @return int the status of its page
     */
    private static function open(RoomService $service, string $link): int
    {
        $ticket = self::http()->request('GET', $service->entryUrl($link));
        self::$browser = explode(';', $ticket->getHeaders(false)['set-cookie'][0] ?? '')[0];
        $status = self::http()
            ->request('GET', $link, ['headers' => ['Cookie' => self::$browser]])
            ->getStatusCode();
        self::isHere($link);

        return $status;
    }

    /**
     * The page says that it is here, and goes where it is told to.
     */
    private static function isHere(string $link): void
    {
        for ($at = $link; null !== $at;) {
            $go = json_decode(
                self::http()
                    ->request('POST', $at.'/here', ['headers' => ['Cookie' => self::$browser]])
                    ->getContent(false),
                true,
            );
            $at = \is_array($go) && \is_string($go['go'] ?? null) ? preg_replace('~/in/.*$~', $go['go'], $at) : null;
        }
    }

    private static function http(): HttpClientInterface
    {
        return HttpClient::create(['max_redirects' => 0]);
    }

    private static function misbehave(string $kind, int $times): void
    {
        $answer = HttpClient::create()->request('POST', self::setting('MEETING_URL').'/control/faults', [
            'json' => ['kind' => $kind, 'times' => $times],
            'auth_bearer' => self::setting('MEETING_TOKEN'),
        ]);
        self::assertSame(200, $answer->getStatusCode());
    }

    private static function setting(string $name): string
    {
        $value = $_ENV[$name] ?? null;
        self::assertIsString($value);

        return $value;
    }
}
