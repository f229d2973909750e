<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Roster\Device\NameTaken;
use FreshHuddle\App\Roster\Device\StudentDeviceStore;
use FreshHuddle\App\Roster\Door\Doorway\Doorway;
use FreshHuddle\App\Roster\Event\Arrivals;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\Core\Roster\Door\DoorWord;
use FreshHuddle\Core\Roster\Door\NameMatch;
use Symfony\Contracts\EventDispatcher\EventDispatcherInterface;

/**
 * How students come in: by the class's door word and their own name, typed. The list of names to press stands here only
 * where the teacher chose so, and only while a lesson of the class is on.
 */
final readonly class Door
{
    public function __construct(
        private DoorReader $reader,
        private StudentDeviceStore $devices,
        private Doorway $doorway,
        private DoorLimits $limits,
        private Passes $passes,
        private Transaction $transaction,
        private EventDispatcherInterface $events,
    ) {
    }

    /**
     * @throws RosterRefused if no class has this door word
     */
    public function find(string $typed, string $address): ClassDoor
    {
        $class = $this->classOf($typed, $address);

        return new ClassDoor($class['name'], $class['listed'] ? $this->reader->list($class['id']) : null);
    }

    /**
     * @param string $token      the device's cookie; '' for none
     * @param bool   $isPractice a simulated student comes
     *
     * @return string the device's cookie from now on
     *
     * @throws RosterRefused if nobody is called that, if another device has the name, 422 if it may be several people,
     *                       429 if too many come or guess
     */
    public function join(JoinClass $request, string $token, string $address, bool $isPractice = false): string
    {
        return $this->transaction->run(function () use ($request, $token, $address, $isPractice): string {
            $token = $this->comeIn($request, $token, $address, $isPractice);
            $student = $this->devices->student($token);
            $class = null === $student ? $this->doorway->classOf($token) : $student->classId;
            if (null !== $class) {
                $asked = null === $student ? $this->doorway->meant($token) : null;
                $this->events->dispatch(new Arrivals($class, $student?->id, asked: $asked));
            }

            return $token;
        });
    }

    private function comeIn(JoinClass $request, string $token, string $address, bool $isPractice): string
    {
        if (null !== $request->pass) {
            return $this->joinByPass($request->pass, $token, $address);
        }
        $class = $this->classOf($request->doorWord, $address, $isPractice);
        $names = $this->reader->names($class['id']);
        if (null !== $request->student && $class['listed']) {
            $found = isset($names[$request->student]) ? [$request->student] : [];
        } else {
            $found =
                null === $request->name
                    ? throw RosterRefused::unusable('roster.name_please', 'name')
                    : NameMatch::find($request->name, $names);
        }
        if (\count($found) > 1) {
            $this->limits->wrongName(
                $class['id'],
                $address,
                RosterRefused::unusable('roster.door.several_names', 'name'),
            );
        }
        if ([] !== $found && DoorMode::PassOnly === $class['mode'] && !$this->isIn($token, $found[0])) {
            $taken = RosterRefused::unusable('roster.door.pass_only', 'name');
        } elseif ([] !== $found && DoorMode::Checked === $class['mode'] && !$this->isIn($token, $found[0])) {
            $this->limits->claim($class['id'], $address, $token, \count($names));

            return $this->doorway->wait($class['id'], $names[$found[0]][0], $token, $found[0], $address);
        } elseif ([] !== $found) {
            $this->limits->claim($class['id'], $address, $token, \count($names));
            try {
                return $this->devices->claim($token, $found[0]);
            } catch (NameTaken) {
                $taken = RosterRefused::outdated('roster.door.taken', 'name');
            }
        }
        if ($request->wait && null !== $request->name) {
            if ([] === $found) {
                $this->limits->wait($class['id'], $address);
            } elseif (DoorMode::PassOnly === $class['mode']) {
                $this->limits->claim($class['id'], $address, $token, \count($names));
            }

            return $this->doorway->wait($class['id'], $request->name, $token, $found[0] ?? null, $address);
        }
        throw $taken ?? $this->limits->wrongName(
            $class['id'],
            $address,
            RosterRefused::missing('roster.door.not_on_list', 'name'),
        );
    }

    /**
     * Whether a device speaks for a student already.
     */
    private function isIn(string $token, string $student): bool
    {
        return '' !== $token && $this->devices->student($token)?->id === $student;
    }

    /**
     * Who holds a pass is in by it, unless another device has their name: then they wait until the teacher says who is
     * who.
     */
    private function joinByPass(string $pass, string $token, string $address): string
    {
        $student = $this->passes->holder($pass) ?? $this->limits->wrongPass($address);
        $this->limits->claim(
            $student->class->id,
            $address,
            $token,
            \count($this->reader->names($student->class->id)),
        );
        if (DoorMode::Checked === $student->class->door && !$this->isIn($token, $student->id)) {
            return $this->doorway->wait($student->class->id, $student->name, $token, $student->id, $address);
        }
        try {
            $token = $this->devices->claim($token, $student->id);
        } catch (NameTaken) {
            return $this->doorway->wait($student->class->id, $student->name, $token, $student->id, $address);
        }
        $this->passes->used($student);

        return $token;
    }

    /**
     * @return array{id: string, name: string, listed: bool, mode: DoorMode}
     */
    private function classOf(string $typed, string $address, bool $isPractice = false): array
    {
        return $this->reader->classBehind(DoorWord::read($typed)?->text() ?? '', $isPractice) ??
            $this->limits->wrongWord($address);
    }
}
