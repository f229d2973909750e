<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Rooms\Meeting;

use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Meeting\RoomService;
use FreshHuddle\App\Rooms\Meeting\RoomServices;
use FreshHuddle\App\Rooms\Meeting\StandinMeetingService;
use FreshHuddle\App\Rooms\Own\MediaAddress;
use FreshHuddle\App\Rooms\Own\MediaServer;
use FreshHuddle\App\Rooms\Own\OwnRooms;
use FreshHuddle\Core\Rooms\RoomPermissions;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Clock\NativeClock;
use Symfony\Component\HttpClient\HttpClient;
use Symfony\Component\Uid\Uuid;

/**
 * What every service in which people meet has to do, asked over the network. Another one is a row in `services`, and a
 * Visitor.
 */
final class RoomServiceTest extends KernelTestCase
{
    private string $ada;
    private string $ben;
    private string $chi;

    protected function setUp(): void
    {
        [$this->ada, $this->ben, $this->chi] = array_map(
            static fn (): string => Uuid::v4()->toRfc4122(),
            ['Ada', 'Ben', 'Chi'],
        );
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
        self::assertTrue($service->owns($room));
        self::assertSame($room, $service->make($key, 'Quayside', new RoomPermissions()));
        self::assertNotSame($room, self::room($service));
    }

    /**
     * @param class-string<RoomService> $class
     */
    #[DataProvider('services')]
    public function test_a_room_is_one_services_and_no_others(string $class): void
    {
        $room = self::room(self::service($class));
        foreach (self::services() as [$other]) {
            self::assertSame($other === $class, self::service($other)->owns($room));
        }
        self::assertInstanceOf($class, self::all()->serviceFor($room));
    }

    /**
     * @param class-string<RoomService> $class
     */
    #[DataProvider('services')]
    public function test_members_get_in_and_who_is_none_any_more_does_not(string $class): void
    {
        [$service, $visitor] = [self::service($class), self::visitor($class)];
        $room = self::room($service);
        $links = $service->setMembers($room, [$this->ada => 'Ada', $this->ben => 'Ben']);
        self::assertSame([$this->ada, $this->ben], array_keys($links));
        self::assertSame(
            $links,
            $service->setMembers($room, [$this->ada => 'Ada', $this->ben => 'Ben']),
            'said twice, done once',
        );
        $old = $visitor->invite($room, $this->ben, $links);
        $after = $service->setMembers($room, [$this->ada => 'Ada', $this->chi => 'Chi']);
        self::assertSame($links[$this->ada], $after[$this->ada], 'who stays keeps theirs');
        self::assertTrue($visitor->enter($visitor->invite($room, $this->chi, $after)));
        self::assertFalse($visitor->enter($old), 'who has left is not let in');
    }

    /**
     * @param class-string<RoomService> $class
     */
    #[DataProvider('services')]
    public function test_who_is_no_member_any_more_is_put_out(string $class): void
    {
        [$service, $visitor] = [self::service($class), self::visitor($class)];
        $room = self::room($service);
        $links = $service->setMembers($room, [$this->ada => 'Ada', $this->ben => 'Ben']);
        $visitor->enter($invitation = $visitor->invite($room, $this->ada, $links));
        self::assertSame([$this->ada], array_keys($service->whoIsThere([$room])));
        $service->setMembers($room, [$this->ben => 'Ben']);
        $visitor->follow($invitation, null);
        self::assertSame([], $service->whoIsThere([$room]));
    }

    /**
     * @param class-string<RoomService> $class
     */
    #[DataProvider('services')]
    public function test_who_is_in_a_room_is_known_and_who_is_moved_is_in_the_other(string $class): void
    {
        [$service, $visitor] = [self::service($class), self::visitor($class)];
        [$one, $other] = [self::room($service), self::room($service)];
        $links = $service->setMembers($one, [$this->ada => 'Ada']);
        $service->setMembers($other, [$this->ada => 'Ada']);
        self::assertSame([], $service->whoIsThere([$one, $other]));
        $service->move([$this->ada => $other], [$one, $other]);
        self::assertSame([], $service->whoIsThere([$one, $other]), 'who is nowhere is not put anywhere');
        $invitation = $visitor->invite($one, $this->ada, $links);
        $visitor->enter($invitation);
        self::assertSame($one, $this->placeOfAda($service, $one, $other));
        $service->move([$this->ada => $other], [$one, $other]);
        $service->move([$this->ada => $other], [$one, $other]);
        $visitor->follow($invitation, $other);
        self::assertSame($other, $this->placeOfAda($service, $one, $other));
        self::assertSame(1, $service->states([$other])[$other]->people);
    }

    /**
     * @param class-string<RoomService> $class
     */
    #[DataProvider('services')]
    public function test_how_a_room_is_over_there_is_told_and_what_is_not_there_is_not(string $class): void
    {
        [$service, $visitor] = [self::service($class), self::visitor($class)];
        $can = $service->capabilities();
        $room = self::room($service);
        $gone = self::room($service);
        $service->retire($gone);
        $links = $service->setMembers($room, [$this->ada => 'Ada', $this->ben => 'Ben']);
        self::assertSame([$room], array_keys($service->states([$room, $gone])));
        $state = $service->states([$room])[$room];
        self::assertSame([true, 0, 0], [$state->open, $state->people, $state->recordings]);
        $service->change($room, 'Millbrook', new RoomPermissions(record: true));
        if ($can->keepsMembers) {
            $state = $service->states([$room])[$room];
            self::assertSame(['Millbrook', 2, true], [$state->name, $state->members, $state->allowed->record]);
        }
        $visitor->enter($visitor->invite($room, $this->ada, $links));
        self::assertSame(1, $service->states([$room])[$room]->people);
    }

    /**
     * @param class-string<RoomService> $class
     */
    #[DataProvider('services')]
    public function test_a_room_can_be_listened_to_where_the_service_says_so(string $class): void
    {
        [$service, $visitor] = [self::service($class), self::visitor($class)];
        $room = self::room($service);
        $links = $service->setMembers($room, [$this->ada => 'Ada']);
        if (!$service->capabilities()->givesSamples) {
            $this->expectException(MeetingServiceFailed::class);
        }
        $silence = $service->listen($room);
        $visitor->enter($visitor->invite($room, $this->ada, $links));
        self::assertNotSame($silence, $heard = $service->listen($room), 'somebody is to be heard');
        self::assertSame($silence, $service->listen(self::room($service)), 'and in no other room');
        self::assertStringStartsWith('RIFF', $heard);
    }

    /**
     * @param class-string<RoomService> $class
     */
    #[DataProvider('services')]
    public function test_a_closed_room_lets_nobody_in_until_it_is_open_again_and_one_that_is_retired_is_gone(
        string $class,
    ): void {
        [$service, $visitor] = [self::service($class), self::visitor($class)];
        $room = self::room($service);
        $links = $service->setMembers($room, [$this->ada => 'Ada']);
        $invitation = $visitor->invite($room, $this->ada, $links);
        $visitor->enter($invitation);
        $service->open($room, false);
        $service->open($room, false);
        self::assertSame([], $service->whoIsThere([$room]));
        $visitor->follow($invitation, $room);
        self::assertSame([], $service->whoIsThere([$room]));
        $service->open($room, true);
        $service->open($room, true);
        $visitor->follow($invitation, $room);
        self::assertSame([$this->ada], array_keys($service->whoIsThere([$room])));
        $service->retire($room);
        $service->retire($room);
        self::assertSame([], $service->states([$room]));
        self::assertFalse($visitor->enter($visitor->invite($room, $this->ada, $links)));
    }

    public function test_a_link_of_the_simulated_service_alone_lets_nobody_in(): void
    {
        $service = self::service(StandinMeetingService::class);
        $room = self::room($service);
        $link = $service->setMembers($room, [$this->ada => 'Ada'])[$this->ada];
        HttpClient::create(['max_redirects' => 0])
            ->request('GET', $link)
            ->getStatusCode();
        self::assertArrayNotHasKey($this->ada, $service->whoIsThere([$room]));
    }

    public function test_what_goes_wrong_over_there_is_said_and_whether_trying_again_is_of_use(): void
    {
        $service = self::service(StandinMeetingService::class);
        foreach (['fail' => true, 'refuse' => false, 'lie' => true] as $kind => $worthRetrying) {
            self::misbehave($kind, 1);
            try {
                $service->setMembers(self::room($service), [$this->ada => 'Ada']);
                self::fail("{$kind}: nothing was said");
            } catch (MeetingServiceFailed $e) {
                self::assertStringStartsWith('rooms.service.', $e->says->code);
                self::assertSame($worthRetrying, $e->worthRetrying, $kind);
            }
            self::misbehave($kind, 0);
        }
    }

    public function test_a_token_opens_one_room_of_our_own_once_and_only_while_its_owner_belongs_there(): void
    {
        [$rooms, $visitor] = [self::service(OwnRooms::class), self::visitor(OwnRooms::class)];
        [$one, $other] = [self::room($rooms), self::room($rooms)];
        [$address, , $token] = explode(' ', $visitor->invite($one, $this->ada, []));
        self::assertFalse($visitor->enter("{$address} {$other} {$token}"), 'another room');
        self::assertFalse($visitor->enter("{$address} {$one} {$token}0"), 'forged');
        self::assertFalse($visitor->enter("{$address}0 {$one} {$token}"), 'an address that nobody signed');
        self::assertTrue($visitor->enter("{$address} {$one} {$token}"));
        // The media server says that they are in; from then on the token is nobody's.
        $isUsable = true;
        for ($i = 0; $isUsable && $i < 100; ++$i) {
            usleep(100_000);
            $isUsable = $visitor->enter("{$address} {$one} {$token}");
        }
        self::assertFalse($isUsable, 'used again');
        $unused = $visitor->invite($one, $this->ben, []);
        $rooms->move([$this->ben => $other], [$one, $other]);
        self::assertFalse($visitor->enter($unused), 'after a move');
        $unused = $visitor->invite($one, $this->chi, []);
        $rooms->setMembers($one, [$this->ada => 'Ada']);
        self::assertFalse($visitor->enter($unused), 'no member any more');
    }

    public function test_a_media_server_that_is_away_is_worth_asking_again(): void
    {
        $rooms = new OwnRooms(
            new MediaServer(HttpClient::create(['base_uri' => 'http://127.0.0.1:9/admin']), 'secret', 'key'),
            new NativeClock(),
            'key',
            '/tmp',
        );
        try {
            self::room($rooms);
            self::fail('nothing was said');
        } catch (MeetingServiceFailed $e) {
            self::assertTrue($e->worthRetrying);
        }
    }

    /**
     * @param class-string<RoomService> $class
     */
    #[DataProvider('services')]
    public function test_a_room_is_recorded_where_the_service_says_so(string $class): void
    {
        $service = self::service($class);
        $room = self::room($service);
        if (!$service->capabilities()->records) {
            $this->expectException(MeetingServiceFailed::class);
        }
        $service->record($room, true);
        $service->record($room, true);
        $state = $service->states([$room])[$room];
        self::assertTrue($state->recording);
        self::assertSame($service->capabilities()->keepsRooms ? 1 : 0, $state->recordings, 'one, not two');
        $service->record($room, false);
        self::assertFalse($service->states([$room])[$room]->recording);
    }

    /**
     * @return iterable<string, array{class-string<RoomService>}>
     */
    public static function services(): iterable
    {
        yield 'rooms of our own' => [OwnRooms::class];
        yield 'the simulated meeting service' => [StandinMeetingService::class];
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

    private function placeOfAda(RoomService $service, string ...$rooms): ?string
    {
        return $service->whoIsThere(array_values($rooms))[$this->ada]['room'] ?? null;
    }

    private static function room(RoomService $service): string
    {
        return $service->make(Uuid::v4()->toRfc4122(), 'Quayside', new RoomPermissions());
    }

    private static function all(): RoomServices
    {
        $all = self::getContainer()->get(RoomServices::class);
        self::assertInstanceOf(RoomServices::class, $all);

        return $all;
    }

    /**
     * @param class-string<RoomService> $class
     */
    private static function visitor(string $class): Visitor
    {
        $service = self::service($class);
        if ($service instanceof StandinMeetingService) {
            return new StandinVisitor($service);
        }
        $address = self::getContainer()->get(MediaAddress::class);
        self::assertInstanceOf(OwnRooms::class, $service);
        self::assertInstanceOf(MediaAddress::class, $address);

        return new OwnVisitor($service, $address, self::setting('PUBLIC_URL'));
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
