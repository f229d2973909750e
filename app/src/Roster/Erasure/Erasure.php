<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Erasure;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Once\OnceStore;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Roster\Device\StudentDevices;
use FreshHuddle\App\Roster\Event\ClassChanged;
use FreshHuddle\App\Roster\Event\ClassErased;
use FreshHuddle\App\Roster\Event\StudentErased;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\App\Words\Words;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Roster\Erasure\FormerMember;
use Psr\EventDispatcher\EventDispatcherInterface;

/**
 * Erases students, and whole classes, for good.
 */
final readonly class Erasure
{
    public function __construct(
        private EntityManagerInterface $em,
        private Transaction $transaction,
        private EventDispatcherInterface $events,
        private ListErasureStore $lists,
        private StudentDevices $devices,
        private OnceStore $once,
        private Tasks $tasks,
        private Words $words,
    ) {
    }

    /**
     * @param string $name typed by whoever erases, so that nobody goes by a slip
     *
     * @throws RosterRefused if that is not the student's name
     */
    public function eraseStudent(Student $student, string $name): void
    {
        if (mb_strtolower(trim($name)) !== mb_strtolower($student->name)) {
            throw RosterRefused::unusable('roster.erase.name', 'name', ['name' => $student->name]);
        }
        $this->transaction->run(function () use ($student): void {
            $this->em->lock($student->class, LockMode::PESSIMISTIC_WRITE);
            $this->erase($student);
        });
    }

    /**
     * With everything of all its students and lessons.
     */
    public function eraseClass(SchoolClass $class): void
    {
        $this->transaction->run(function () use ($class): void {
            $this->em->lock($class, LockMode::PESSIMISTIC_WRITE);
            $students = $this->em->getRepository(Student::class)->findBy(['class' => $class]);
            foreach ($students as $student) {
                $this->forget($student);
            }
            // Papers of others go with the class: nobody has to be taken out of them first.
            $this->events->dispatch(new ClassErased($class->id));
            array_map($this->em->remove(...), $students);
            $this->em->flush();
            $this->em->remove($class);
        });
    }

    private function erase(Student $student): void
    {
        $this->events->dispatch(new StudentErased($student->class->id, $this->forget($student)));
        $this->em->remove($student);
        $this->em->flush();
        $this->events->dispatch(new ClassChanged($student->class->id));
    }

    /**
     * On the list, at the door, and in what is yet to be done.
     */
    private function forget(Student $student): FormerMember
    {
        $names = [$student->name, ...$this->lists->aliases($student->id)];
        $former = new FormerMember(
            $student->id,
            $names,
            $this->words->say(new Message('roster.erase.former_member')),
        );
        $this->devices->free($student);
        $this->lists->forget($student->class->id, $former, $names);
        $this->once->forgetAbout($student->id, [$student->id, ...$former->names]);
        $this->tasks->forgetAbout($student->id, $former->names, $former->inside(...));

        return $former;
    }
}
