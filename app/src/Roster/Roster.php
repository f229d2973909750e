<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Roster\Column\FillColumn;
use FreshHuddle\App\Roster\Device\StudentDeviceStore;
use FreshHuddle\App\Roster\Door\DoorWords;
use FreshHuddle\App\Roster\Event\ClassChanged;
use FreshHuddle\App\Roster\Event\ClassMade;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\App\Roster\Rule\ClassRules;
use FreshHuddle\App\Roster\Rule\MakeRule;
use FreshHuddle\Core\Roster\Exception\TooManyStudents;
use FreshHuddle\Core\Roster\Exception\UnusableName;
use FreshHuddle\Core\Roster\PastedList;
use FreshHuddle\Core\Roster\StudentName;
use FreshHuddle\Core\SingleLine;
use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\Uid\Uuid;

/**
 * The class list.
 */
final readonly class Roster
{
    /** The tag of who takes part and was not on the list. */
    private const GUEST = 'guest';

    public function __construct(
        private EntityManagerInterface $em,
        private ClockInterface $clock,
        private DoorWords $doorWords,
        private ClassRules $rules,
        private EventDispatcherInterface $events,
        private Transaction $transaction,
        private StudentDeviceStore $devices,
    ) {
    }

    /**
     * @return list<SchoolClass> newest first
     */
    public function classes(Teacher $teacher): array
    {
        return array_values(
            $this->em
                ->getRepository(SchoolClass::class)
                ->findBy(['teacher' => $teacher, 'removedAt' => null, 'isPractice' => false], ['id' => 'DESC']),
        );
    }

    /**
     * @return list<Student> as on the list, without removed ones
     */
    public function students(SchoolClass $class): array
    {
        return array_values(
            $this->em
                ->getRepository(Student::class)
                ->findBy(['class' => $class, 'removedAt' => null], ['position' => 'ASC', 'id' => 'ASC']),
        );
    }

    /**
     * @throws RosterRefused if there is no name or the list cannot be read
     */
    public function create(Teacher $teacher, string $name, string $pasted): SchoolClass
    {
        $class = new SchoolClass(
            Uuid::v7()->toRfc4122(),
            $teacher,
            $this->className($name),
            $this->doorWords->fresh(),
            $this->clock->now(),
        );
        $list = $this->read($pasted, []);
        $this->em->persist($class);
        $this->events->dispatch(new ClassMade($class));
        $this->append($class, $list, 0);
        $this->em->flush();

        return $class;
    }

    /**
     * A class that moves in from elsewhere, with all who are and were in it.
     *
     * @param list<MovedStudent> $students
     *
     * @return array{SchoolClass, array<string, Student>} the class, and its students by the ids they had
     *
     * @throws RosterRefused if two have the same name, or one has none
     */
    public function moveIn(Teacher $teacher, string $name, array $students): array
    {
        return $this->transaction->run(function () use ($teacher, $name, $students): array {
            $class = $this->create($teacher, $name, '');
            $moved = $known = [];
            foreach ($students as $i => $one) {
                try {
                    $called = StudentName::fromText($one->name);
                } catch (UnusableName $e) {
                    throw RosterRefused::because($e->says, "students[{$i}].name");
                }
                if (!$one->former && isset($known[$called->folded()])) {
                    throw RosterRefused::unusable('roster.name_taken', "students[{$i}].name", ['name' => $one->name]);
                }
                if (isset($moved[$one->id])) {
                    throw RosterRefused::unusable('roster.each_student_once', "students[{$i}].id");
                }
                $student = new Student(Uuid::v7()->toRfc4122(), $class, $called->value, $i + 1);
                $this->write(
                    $student,
                    new EditStudent(
                        table: $one->table,
                        schoolId: $one->schoolId,
                        attributes: $one->attributes,
                        tags: $one->tags,
                        email: $one->email,
                    ),
                );
                $student->removedAt = $one->former ? $this->clock->now() : null;
                $this->em->persist($student);
                $moved[$one->id] = $student;
                if (!$one->former) {
                    $known[$called->folded()] = true;
                }
            }

            return [$class, $moved];
        });
    }

    public function rename(SchoolClass $class, string $name): void
    {
        $class->name = $this->className($name);
        $this->em->flush();
    }

    /**
     * @return string|null id of who was put on the list under this name, marked as a guest; null if somebody is called
     *                     that already
     */
    public function addGuest(SchoolClass $class, string $name): ?string
    {
        $called = ['class' => $class, 'folded' => StudentName::fromText($name)->folded(), 'removedAt' => null];
        if (0 < $this->em->getRepository(Student::class)->count($called)) {
            return null;
        }
        $this->add($class, $name);
        $student = $this->em->getRepository(Student::class)->findOneBy($called);
        if (null !== $student) {
            $student->tags = [self::GUEST];
            $student->guest = true;
            $student->guestOf = $class->currentLessonId;
            $this->em->flush();
        }

        return $student?->id;
    }

    /**
     * Adds the names that are not in the class yet.
     *
     * @throws RosterRefused if that would be too many; then nothing is added
     */
    private function add(SchoolClass $class, string $pasted): void
    {
        $this->transaction->run(function () use ($class, $pasted): void {
            $this->em->lock($class, LockMode::PESSIMISTIC_WRITE);
            $list = $this->read($pasted, $this->names($class));
            $last = $this->em
                ->createQuery('SELECT MAX(s.position) FROM '.Student::class.' s WHERE s.class = :class')
                ->setParameter('class', $class)
                ->getSingleScalarResult();
            $this->append($class, $list, is_numeric($last) ? (int) $last : 0);
            $this->em->flush();
            $this->events->dispatch(new ClassChanged($class->id));
        });
    }

    /**
     * A lesson is over: its guests are on the list no more.
     */
    public function guestsLeave(SchoolClass $class, string $lessonId): void
    {
        foreach (
            $this->em
                ->getRepository(Student::class)
                ->findBy(['class' => $class, 'guest' => true, 'removedAt' => null]) as $guest
        ) {
            if (null === $guest->guestOf || $guest->guestOf === $lessonId) {
                $guest->guestOf = $lessonId;
                $this->remove($guest);
            }
        }
    }

    /**
     * The lesson goes on after all: its guests are back, but for one whose name somebody has by now.
     */
    public function guestsComeBack(SchoolClass $class, string $lessonId): void
    {
        foreach (
            $this->em
                ->getRepository(Student::class)
                ->findBy(['class' => $class, 'guest' => true, 'guestOf' => $lessonId]) as $guest
        ) {
            if (null !== $guest->removedAt && [] !== $this->read($guest->name, $this->names($class))->names()) {
                $this->restore($guest);
            }
        }
    }

    /**
     * @throws RosterRefused if the name cannot be used or another student has it
     */
    public function editStudent(Student $student, EditStudent $edit): void
    {
        $this->transaction->run(function () use ($student, $edit): void {
            // Whoever edits the same student at the same moment comes after, and sees what was done.
            $this->em->lock($student->class, LockMode::PESSIMISTIC_WRITE);
            $this->em->refresh($student, LockMode::PESSIMISTIC_WRITE);
            $this->write($student, $edit);
            $this->em->flush();
            $this->events->dispatch(new ClassChanged($student->class->id));
        });
    }

    /**
     * Writes one column for many at once: all of it, or nothing.
     *
     * @throws RosterRefused if somebody is not on the list
     */
    public function fillColumn(SchoolClass $class, FillColumn $fill): void
    {
        $this->transaction->run(function () use ($class, $fill): void {
            $this->em->lock($class, LockMode::PESSIMISTIC_WRITE);
            $students = [];
            foreach ($this->students($class) as $student) {
                $students[$student->id] = $student;
            }
            foreach ($fill->cells as $i => $cell) {
                if (null === $fill->attribute && mb_strlen(trim($cell->value)) > Student::LONGEST_TABLE) {
                    throw RosterRefused::unusable(
                        'roster.table_too_long',
                        "cells[{$i}].value",
                        ['most' => Student::LONGEST_TABLE],
                    );
                }
                $this->write(
                    $students[$cell->student] ??
                        throw RosterRefused::unusable('roster.not_on_list', "cells[{$i}].student"),
                    $fill->edit($cell),
                );
            }
            $this->em->flush();
            $this->events->dispatch(new ClassChanged($class->id));
        });
    }

    private function write(Student $student, EditStudent $edit): void
    {
        if (null !== $edit->name) {
            $student->rename($this->freeName($student, $edit->name));
        }
        $student->absent = $edit->absent ?? $student->absent;
        $student->seatable = $edit->seatable ?? $student->seatable;
        if (false === $edit->guest && $student->guest) {
            $student->guest = false;
            $student->guestOf = null;
            $student->tags = array_values(array_diff($student->tags, [self::GUEST]));
        }
        if (null !== $edit->table) {
            $student->seatTable = '' === trim($edit->table) ? null : trim($edit->table);
        }
        if (null !== $edit->schoolId) {
            $student->schoolId = '' === trim($edit->schoolId) ? null : trim($edit->schoolId);
        }
        if (null !== $edit->email) {
            $student->email = '' === trim($edit->email) ? null : trim($edit->email);
        }
        if (null !== $edit->tags) {
            $student->tags = array_values(array_unique(array_map(trim(...), $edit->tags)));
        }
        foreach ($edit->attributes ?? [] as $attribute) {
            $attributes = $student->attributes;
            unset($attributes[trim($attribute->name)]);
            $student->attributes =
                '' === trim($attribute->value)
                    ? $attributes
                    // a name may be a number
                    : array_replace($attributes, [trim($attribute->name) => $attribute->typed()]);
        }
    }

    /**
     * @throws RosterRefused
     */
    private function freeName(Student $student, string $name): string
    {
        try {
            $wanted = StudentName::fromText($name);
        } catch (UnusableName $e) {
            throw RosterRefused::because($e->says, 'name');
        }
        foreach ($this->students($student->class) as $other) {
            if ($other->id !== $student->id && $other->folded() === $wanted->folded()) {
                throw RosterRefused::unusable('roster.name_taken', 'name', ['name' => $other->name]);
            }
        }

        return $wanted->value;
    }

    /**
     * The same class list, with its tables, attributes, tags and rules, under a name and a door word of its own.
     */
    public function copy(SchoolClass $class, string $name): SchoolClass
    {
        return $this->duplicate($class, $name)[0];
    }

    /**
     * The same class list for practice, with nothing by which anybody real could be reached.
     *
     * @param Teacher $for who practises
     *
     * @return array{SchoolClass, array<string, string>} and its students, by those they stand for
     */
    public function double(SchoolClass $class, Teacher $for): array
    {
        return $this->duplicate($class, $class->name, $for);
    }

    /**
     * @param Teacher|null $practises null: it is a real class
     *
     * @return array{SchoolClass, array<string, string>}
     */
    private function duplicate(SchoolClass $class, string $name, ?Teacher $practises = null): array
    {
        $isPractice = null !== $practises;

        return $this->transaction->run(function () use ($class, $name, $practises, $isPractice): array {
            $copy = new SchoolClass(
                Uuid::v7()->toRfc4122(),
                $practises ?? $class->teacher,
                $this->className($name),
                $this->doorWords->fresh(),
                $this->clock->now(),
            );
            $copy->groupNames = $class->groupNames;
            $copy->isPractice = $isPractice;
            if ($isPractice) {
                $copy->cannotReadYet = $class->cannotReadYet;
                $copy->language = $class->language;
            }
            $this->em->persist($copy);
            $this->events->dispatch(new ClassMade($copy));
            $copied = [];
            foreach ($this->students($class) as $student) {
                $twin = new Student(Uuid::v7()->toRfc4122(), $copy, $student->name, $student->position);
                $twin->fill($student->record());
                $twin->seatable = $student->seatable;
                if ($isPractice) {
                    [$twin->email, $twin->schoolId] = [null, null];
                }
                $this->em->persist($twin);
                $copied[$student->id] = $twin->id;
            }
            $this->em->flush();
            foreach ($this->rules->forClass($class->id) as $rule) {
                $this->rules->add(
                    $copy,
                    new MakeRule(
                        $rule->kind,
                        array_map(static fn (string $id): string => $copied[$id], $rule->students),
                    ),
                );
            }

            return [$copy, $copied];
        });
    }

    public function archive(SchoolClass $class, bool $archived): void
    {
        $class->archivedAt = $archived ? $class->archivedAt ?? $this->clock->now() : null;
        $this->em->flush();
        if ($archived) {
            $this->devices->freeAll($class->id);
        }
    }

    /**
     * Nothing of it is lost; its door word leads nowhere, and whoever was in is outside.
     */
    public function removeClass(SchoolClass $class): void
    {
        $class->removedAt ??= $this->clock->now();
        $this->em->flush();
        $this->devices->freeAll($class->id);
    }

    public function restoreClass(SchoolClass $class): void
    {
        $class->removedAt = null;
        $this->em->flush();
    }

    public function remove(Student $student): void
    {
        $this->transaction->run(function () use ($student): void {
            $student->removedAt ??= $this->clock->now();
            $this->em->flush();
            $this->devices->free($student->id);
            $this->events->dispatch(new ClassChanged($student->class->id));
        });
    }

    /**
     * @throws RosterRefused if the class has become too full, or the name is taken by now
     */
    public function restore(Student $student): void
    {
        if (null === $student->removedAt) {
            return;
        }
        $this->transaction->run(function () use ($student): void {
            $this->em->lock($student->class, LockMode::PESSIMISTIC_WRITE);
            if ([] === $this->read($student->name, $this->names($student->class))->names()) {
                throw RosterRefused::unusable('roster.back_already', null, ['name' => $student->name]);
            }
            $student->removedAt = null;
            $this->em->flush();
            $this->events->dispatch(new ClassChanged($student->class->id));
        });
    }

    /**
     * @return list<string>
     */
    private function names(SchoolClass $class): array
    {
        return array_map(static fn (Student $student): string => $student->name, $this->students($class));
    }

    /**
     * @param list<string> $known
     */
    private function read(string $pasted, array $known): PastedList
    {
        try {
            return PastedList::read($pasted, $known);
        } catch (TooManyStudents|UnusableName $e) {
            throw RosterRefused::because($e->says, 'names');
        }
    }

    private function append(SchoolClass $class, PastedList $list, int $position): void
    {
        foreach ($list->names() as $name) {
            $this->em->persist(new Student(Uuid::v7()->toRfc4122(), $class, $name, ++$position));
        }
    }

    private function className(string $name): string
    {
        $name = SingleLine::fromText($name);

        return '' === $name || mb_strlen($name) > 80
            ? throw RosterRefused::unusable('roster.class_name', 'name') : $name;
    }
}
