<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Admission;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Live\Presence\PresenceStore;
use FreshHuddle\App\Live\Speech\MuteTaskHandler;
use FreshHuddle\App\Live\Speech\Speakers;
use FreshHuddle\App\Live\Speech\SpeechStore;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Own\OwnRooms;
use FreshHuddle\App\Rooms\Own\Participant;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Message;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/**
 * Where the media server tells us who came into a room of our own, who speaks there and who left. It has the password;
 * and where it is not heard, it is asked again (WatchTaskHandler).
 */
final readonly class MediaHookController
{
    private const MOST_EVENTS = 5_000;

    public function __construct(
        private PresenceStore $presence,
        private SpeechStore $speech,
        private Speakers $speakers,
        private OwnRooms $rooms,
        private Tasks $tasks,
        private EntityManagerInterface $em,
        private Clock $clock,
        #[Autowire('%env(MEDIA_HOOK_SECRET)%'), \SensitiveParameter]
        private string $secret,
    ) {
    }

    #[Route('/hooks/media', methods: ['POST'])]
    public function __invoke(Request $request): void
    {
        if (!hash_equals($this->secret, $request->getPassword() ?? '')) {
            throw new Problem(403, new Message('live.hook_signature'));
        }
        $events = json_decode($request->getContent(), true, 12);
        if (!\is_array($events)) {
            throw new Problem(422, new Message('live.hook_unreadable'));
        }
        foreach (array_is_list($events) ? \array_slice($events, 0, self::MOST_EVENTS) : [$events] as $event) {
            $data = \is_array($event) && \is_array($event['event'] ?? null) ? $event['event']['data'] ?? null : null;
            if (
                \is_array($data)
                && \is_string($data['room'] ?? null)
                && $this->rooms->owns($data['room'])
                && \is_string($data['id'] ?? null)
                && 1 === preg_match(Participant::PATTERN, $data['id'])
            ) {
                $at = \is_int($event['timestamp'] ?? null) ? intdiv($event['timestamp'], 1_000) : $this->clock->ms();
                $this->happened($data, $data['room'], $data['id'], min($at, $this->clock->ms()));
            }
        }
    }

    /**
     * @param array<array-key, mixed> $data what it says of it
     * @param int                     $at   milliseconds since 1970, by the clock over there
     */
    private function happened(array $data, string $room, string $person, int $at): void
    {
        // Who speaks, it says under another name than all else.
        $what = $data['event'] ?? $data['videoroom'] ?? null;
        if ('joined' === $what && \is_string($data['token'] ?? null)) {
            try {
                $this->rooms->revokeToken($room, $data['token']);
            } catch (MeetingServiceFailed) {
                // It is of use to nobody else: it says who may come in by it.
            }
        }
        $student = Participant::studentOf($person);
        if (null === $student) {
            return;
        }
        match ($what) {
            'joined' => $this->presence->seenByService($student, $room, $at),
            'leaving', 'kicked' => $this->left($student, $room, $at),
            'published', 'updated' => $this->sends($student, $room, self::sounds($data['streams'] ?? null), $at),
            'unpublished' => $this->speech->closed($student, $room, $at),
            'talking' => $this->speech->began($student, $room, $at),
            'stopped-talking' => $this->speech->stopped($student, $room, $at),
            default => null,
        };
    }

    private function left(string $student, string $room, int $at): void
    {
        $this->presence->seenByService($student, null, $at, $room);
        $this->speech->closed($student, $room, $at);
    }

    /**
     * Whoever is muted and sends something all the same is heard by nobody.
     *
     * @param list<string> $sounds
     */
    private function sends(string $student, string $room, array $sounds, int $at): void
    {
        if ([] === $sounds) {
            $this->speech->closed($student, $room, $at);

            return;
        }
        $this->speech->opened($student, $room, $sounds);
        $id = $this->em->find(Student::class, $student)?->class->currentLessonId;
        $lesson = null === $id ? null : $this->em->find(Lesson::class, $id);
        if (null !== $lesson && $this->speakers->isMuted($lesson)) {
            $this->tasks->schedule(MuteTaskHandler::MUTE, $lesson->id);
        }
    }

    /**
     * @return list<string>
     */
    private static function sounds(mixed $streams): array
    {
        $sounds = [];
        foreach (\is_array($streams) ? $streams : [] as $stream) {
            if (\is_array($stream) && 'audio' === ($stream['type'] ?? null) && \is_string($stream['mid'] ?? null)) {
                $sounds[] = $stream['mid'];
            }
        }

        return $sounds;
    }
}
