<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Roster\Device\NameTaken;
use FreshHuddle\App\Roster\Device\StudentDeviceStore;
use FreshHuddle\Core\Roster\Door\DoorWord;
use FreshHuddle\Core\Roster\Door\NameMatch;

/**
 * How students come in: by the class's door word and their own name, typed. The list of names to press stands here only where
 * the teacher chose so, and only while a lesson of the class is on.
 */
final readonly class Door
{
    public function __construct(private DoorReader $reader, private StudentDeviceStore $devices, private Doorway $doorway, private DoorLimits $limits)
    {
    }

    /**
     * @throws Problem 404 or 429 if no class has this door word
     */
    public function look(string $typed, string $address): ClassDoor
    {
        $class = $this->classOf($typed, $address);

        return new ClassDoor($class['name'], $class['listed'] ? $this->reader->list($class['id']) : null);
    }

    /**
     * @param string $token the device's cookie; '' for none
     *
     * @return string the device's cookie from now on
     *
     * @throws Problem 404 if nobody is called that, 409 if another device has the name, 422 if it may be several people,
     *                 429 if too many come or guess
     */
    public function join(JoinClass $request, string $token, string $address): string
    {
        $class = $this->classOf($request->doorWord, $address);
        $names = $this->reader->names($class['id']);
        if (null !== $request->student && $class['listed']) {
            $found = isset($names[$request->student]) ? [$request->student] : [];
        } else {
            $found = null === $request->name ? throw new Problem(422, 'Your name, please.', 'name') : NameMatch::find($request->name, $names);
        }
        if (\count($found) > 1) {
            $this->limits->wrongName($class['id'], $address, new Problem(422, 'There is more than one name like this. Write your whole name.', 'name'));
        }
        if ([] !== $found) {
            $this->limits->claim($class['id'], $address, $token, \count($names));
            try {
                return $this->devices->claim($token, $found[0]);
            } catch (NameTaken) {
                $taken = new Problem(409, 'Another device has this name. If it is yours, wait at the door: your teacher lets you in.', 'name');
            }
        }
        if ($request->wait && null !== $request->name) {
            $this->limits->wait($class['id'], $address);

            return $this->doorway->wait($class['id'], $request->name, $token, $found[0] ?? null);
        }
        throw $taken ?? $this->limits->wrongName($class['id'], $address, new Problem(404, 'This name is not on the list. Write it as your teacher does, or wait at the door.', 'name'));
    }

    /**
     * @return array{id: string, name: string, listed: bool}
     */
    private function classOf(string $typed, string $address): array
    {
        return $this->reader->classBehind(DoorWord::read($typed)?->text() ?? '') ?? $this->limits->wrongWord($address);
    }
}
