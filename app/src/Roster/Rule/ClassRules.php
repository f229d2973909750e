<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Rule;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Staff\Staff;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Roster\Rule\Contradiction;
use Symfony\Component\Uid\Uuid;

/**
 * Who must be apart, who must be together and who would like to be with whom, kept with the class. Writes the musts;
 * wishes are written by Wishes.
 */
final readonly class ClassRules
{
    private const MOST = 200;

    public function __construct(
        private EntityManagerInterface $em,
        private Staff $staff,
        private Wishes $wishes,
        private Words $words,
        private Transaction $transaction,
    ) {
    }

    /**
     * @return list<RuleView> the musts, then the wishes (whose id is that of the student who has it); without students
     *                        who
     *                        have left the list: a rule with fewer than two left says nothing
     */
    public function forClass(string $classId): array
    {
        $rules = $this->musts($classId);
        foreach ($this->wishes->forClass($classId) as $student => $wishedFor) {
            $rules[] = new RuleView($student, RuleKind::Wish, [$student, ...$wishedFor]);
        }

        return $rules;
    }

    /**
     * @return list<RuleView> as above
     */
    public function musts(string $classId): array
    {
        /** @var list<ClassRuleStudent> $rows */
        $rows = $this->em
            ->createQueryBuilder()
            ->select('m', 'r', 's')
            ->from(ClassRuleStudent::class, 'm')
            ->join('m.rule', 'r')
            ->join('m.student', 's')
            ->where('r.class = :class')
            ->andWhere('s.removedAt IS NULL')
            ->setParameter('class', $classId)
            ->orderBy('r.id')
            ->addOrderBy('m.position')
            ->getQuery()
            ->getResult();
        $kinds = $students = [];
        foreach ($rows as $row) {
            $kinds[$row->rule->id] = $row->rule->kind;
            $students[$row->rule->id][] = $row->student->id;
        }
        $rules = [];
        foreach ($kinds as $id => $kind) {
            if (\count($students[$id]) >= 2) {
                $rules[] = new RuleView($id, $kind, $students[$id]);
            }
        }

        return $rules;
    }

    /**
     * @throws RosterRefused if a student is not of the class, or the same rule is there already
     */
    public function add(SchoolClass $class, MakeRule $request): RuleMade
    {
        return $this->transaction->run(function () use ($class, $request): RuleMade {
            // who presses at the same moment comes after, and sees this one
            $this->em->lock($class, LockMode::PESSIMISTIC_WRITE);

            $before = $this->contradiction($class->id);
            $rule = $this->write($class, $request);
            $now = $this->contradiction($class->id);

            return new RuleMade(
                $rule,
                null !== $now && $now !== $before
                    ? $this->words->say(
                        new Message('roster.rule.contradicts', ['one' => $now[0], 'other' => $now[1]]),
                    )
                    : '',
            );
        });
    }

    /**
     * @return array{string, string}|null names of two who have to be together and apart
     */
    private function contradiction(string $classId): ?array
    {
        $of = ['together' => [], 'apart' => []];
        foreach ($this->musts($classId) as $rule) {
            $of[$rule->kind->value][] = $rule->students;
        }
        $two = Contradiction::among($of['together'], $of['apart']);
        if (null === $two) {
            return null;
        }
        $name = fn (string $id): string => $this->em->find(Student::class, $id)->name ?? '';

        return [$name($two[0]), $name($two[1])];
    }

    private function write(SchoolClass $class, MakeRule $request): RuleView
    {
        $students = $this->students($class, $request->students);
        if (\count($this->forClass($class->id)) >= self::MOST) {
            throw RosterRefused::unusable('roster.rule.too_many', null, ['most' => self::MOST]);
        }
        if (!$request->kind->isMust()) {
            $this->wishes->add($students[0], \array_slice($students, 1));

            return new RuleView($students[0]->id, $request->kind, [
                $students[0]->id,
                ...$this->wishes->forClass($class->id)[$students[0]->id] ?? [],
            ]);
        }
        foreach ($this->musts($class->id) as $rule) {
            if (
                $rule->kind === $request->kind
                && [] === array_diff($rule->students, $request->students)
                && [] === array_diff($request->students, $rule->students)
            ) {
                throw RosterRefused::unusable('roster.rule.twice', 'students');
            }
        }
        $rule = new ClassRule(Uuid::v7()->toRfc4122(), $class, $request->kind);
        $this->em->persist($rule);
        foreach ($students as $position => $student) {
            $this->em->persist(new ClassRuleStudent($rule, $student, $position));
        }
        $this->em->flush();

        return new RuleView($rule->id, $request->kind, $request->students);
    }

    /**
     * @param list<string> $ids
     *
     * @return non-empty-list<Student> in the order of the ids
     *
     * @throws RosterRefused if one is not on the list of the class
     */
    private function students(SchoolClass $class, array $ids): array
    {
        $byId = [];
        foreach (
            $this->em->getRepository(Student::class)->findBy(
                ['class' => $class, 'removedAt' => null, 'id' => $ids],
            ) as $student
        ) {
            $byId[$student->id] = $student;
        }
        $students = array_map(
            static fn (string $id): Student => $byId[$id] ??
                throw RosterRefused::unusable('roster.rule.stranger', 'students'),
            $ids,
        );

        return [] === $students ? throw RosterRefused::unusable('roster.rule.stranger', 'students') : $students;
    }

    /**
     * @throws RosterRefused if the teacher has no such rule
     */
    public function remove(Teacher $teacher, string $id): void
    {
        $rule = $this->staff->find(
            ClassRule::class,
            $this->em->createQueryBuilder()->select('r', 'c')->from(ClassRule::class, 'r')->join('r.class', 'c'),
            'r',
            $teacher,
            $id,
        );
        $this->staff->may($teacher, $rule->class);
        $this->em->remove($rule);
        $this->em->flush();
    }
}
