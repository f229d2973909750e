<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Device;

use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Roster\Event\Arrivals;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Student;
use Symfony\Contracts\EventDispatcher\EventDispatcherInterface;

/**
 * Devices that speak for students are given up, or speak for another one; whoever watches the class hears of it.
 */
final readonly class StudentDevices
{
    public function __construct(
        private StudentDeviceStore $devices,
        private Transaction $transaction,
        private EventDispatcherInterface $events,
    ) {
    }

    /**
     * Every student of the class can come in anew.
     */
    public function freeAll(SchoolClass $class): void
    {
        $this->transaction->run(function () use ($class): void {
            $this->devices->freeAll($class->id);
            $this->events->dispatch(new Arrivals($class->id));
        });
    }

    /**
     * A student can come in on another device.
     */
    public function free(Student $student): void
    {
        $this->transaction->run(function () use ($student): void {
            $this->devices->free($student->id);
            $this->events->dispatch(new Arrivals($student->class->id, left: $student->id));
        });
    }

    /**
     * Whoever has come in under this name is another student of the class.
     *
     * @throws RosterRefused if nobody has come in under it
     */
    public function correct(Student $student, Student $isReally): void
    {
        $this->transaction->run(function () use ($student, $isReally): void {
            if (!$this->devices->correct($student->id, $isReally->id)) {
                throw RosterRefused::outdated('roster.door.nobody_as', 'student', ['name' => $student->name]);
            }
            $this->events->dispatch(new Arrivals($student->class->id, $isReally->id, $student->id));
        });
    }

    /**
     * A student gives up this device.
     *
     * @param string $token the device's cookie
     */
    public function leave(StudentUser $student, string $token): void
    {
        $this->transaction->run(function () use ($student, $token): void {
            $this->devices->release($token);
            $this->events->dispatch(new Arrivals($student->classId, left: $student->id));
        });
    }
}
