<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Rooms\Meeting;

use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\Own\MediaAddress;
use FreshHuddle\App\Rooms\Own\OwnRooms;
use FreshHuddle\App\Rooms\Own\Participant;

/**
 * Comes through nginx and the gate, as a page does, but sends no sound.
 */
final class OwnVisitor implements Visitor
{
    /** @var array<string, resource> running programs, by what let them in */
    private array $inside = [];

    public function __construct(
        private readonly OwnRooms $rooms,
        private readonly MediaAddress $address,
        private readonly string $base,
    ) {
    }

    public function __destruct()
    {
        foreach ($this->inside as $process) {
            proc_terminate($process, \SIGKILL);
        }
    }

    public function invite(string $room, string $person, array $links): string
    {
        try {
            $participant = Participant::student($person, 'Ada');

            return implode(' ', [
                $this->base.$this->address->forParticipant($participant),
                $room,
                $this->rooms->admit($room, $participant),
            ]);
        } catch (MeetingServiceFailed) {
            return '';
        }
    }

    public function enter(string $invitation): bool
    {
        if ('' === $invitation) {
            return false;
        }
        $process = proc_open(
            ['node', \dirname(__DIR__, 4).'/media/tests/visitor.mjs', ...explode(' ', $invitation)],
            [1 => ['pipe', 'w'], 2 => ['file', '/dev/null', 'w']],
            $pipes,
        );
        \assert(\is_resource($process));
        $this->inside[$invitation] = $process;
        $said = trim((string) fgets($pipes[1]));

        return 'in' === $said;
    }

    public function follow(string $invitation, ?string $to): void
    {
        if (null !== $to) {
            $person = explode('.', explode(' ', $invitation)[2])[0];
            $this->enter($this->invite($to, $person, []));
        }
    }
}
