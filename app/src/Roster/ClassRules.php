<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Roster\Rule\Contradiction;
use Symfony\Component\Uid\Uuid;

/**
 * Who must be apart, who must be together and who would like to be with whom, kept with the class.
 */
final readonly class ClassRules
{
    private const MOST = 200;

    public function __construct(private EntityManagerInterface $em, private Staff $staff, private Words $words)
    {
    }

    /**
     * @return list<RuleView> without students who have left the list; a rule with fewer than two left says nothing
     */
    public function of(string $classId): array
    {
        /** @var list<ClassRuleStudent> $rows */
        $rows = $this->em->createQueryBuilder()->select('m', 'r', 's')->from(ClassRuleStudent::class, 'm')->join('m.rule', 'r')->join('m.student', 's')
            ->where('r.class = :class')->setParameter('class', $classId)->orderBy('r.id')->addOrderBy('m.position')->getQuery()->getResult();
        $kinds = $students = $dropped = [];
        foreach ($rows as $row) {
            $id = $row->rule->id;
            $kinds[$id] = $row->rule->kind;
            if (null === $row->student->removedAt) {
                $students[$id][] = $row->student->id;
            } elseif (0 === $row->position && !$row->rule->kind->isMust()) {
                $dropped[$id] = true; // whose wish it was has left
            }
        }
        $rules = [];
        foreach ($kinds as $id => $kind) {
            if (\count($students[$id] ?? []) >= 2 && !isset($dropped[$id])) {
                $rules[] = new RuleView($id, $kind, $students[$id]);
            }
        }

        return $rules;
    }

    /**
     * @return list<RuleView> the musts among them
     */
    public function musts(string $classId): array
    {
        return array_values(array_filter($this->of($classId), static fn (RuleView $rule): bool => $rule->kind->isMust()));
    }

    /**
     * @return array<string, list<string>> student id => ids of those wished for
     */
    public function wishes(string $classId): array
    {
        $wishes = [];
        foreach ($this->of($classId) as $rule) {
            if (RuleKind::Wish === $rule->kind) {
                $wishes[$rule->students[0]] = [...$wishes[$rule->students[0]] ?? [], ...\array_slice($rule->students, 1)];
            }
        }

        return $wishes;
    }

    /**
     * @throws RosterRefused if a student is not of the class, or the same rule is there already
     */
    public function add(SchoolClass $class, MakeRule $request): RuleMade
    {
        return $this->em->wrapInTransaction(function () use ($class, $request): RuleMade {
            $this->em->lock($class, LockMode::PESSIMISTIC_WRITE); // who presses at the same moment comes after, and sees this one

            $before = $this->contradiction($class->id);
            $rule = $this->write($class, $request);
            $now = $this->contradiction($class->id);

            return new RuleMade($rule, null !== $now && $now !== $before ? $this->words->say(new Message('roster.rule.contradicts', ['one' => $now[0], 'other' => $now[1]])) : '');
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
        $students = [];
        foreach ($this->em->getRepository(Student::class)->findBy(['class' => $class, 'removedAt' => null, 'id' => $request->students]) as $student) {
            $students[$student->id] = $student;
        }
        if (\count($students) !== \count($request->students)) {
            throw RosterRefused::unusable('roster.rule.stranger', 'students');
        }
        $there = $this->of($class->id);
        foreach ($there as $rule) {
            $same = $rule->kind === $request->kind && [] === array_diff($rule->students, $request->students) && [] === array_diff($request->students, $rule->students);
            if ($same && ($rule->kind->isMust() || $rule->students[0] === $request->students[0])) {
                throw RosterRefused::unusable('roster.rule.twice', 'students');
            }
        }
        if (\count($there) >= self::MOST) {
            throw RosterRefused::unusable('roster.rule.too_many', null, ['most' => self::MOST]);
        }
        $rule = new ClassRule(Uuid::v7()->toRfc4122(), $class, $request->kind);
        $this->em->persist($rule);
        foreach ($request->students as $position => $id) {
            $this->em->persist(new ClassRuleStudent($rule, $students[$id] ?? throw RosterRefused::unusable('roster.rule.stranger', 'students'), $position));
        }
        $this->em->flush();

        return new RuleView($rule->id, $request->kind, $request->students);
    }

    /**
     * @throws RosterRefused if the teacher has no such rule
     */
    public function remove(Teacher $teacher, string $id): void
    {
        $rule = $this->staff->one(ClassRule::class, $this->em->createQueryBuilder()->select('r', 'c')->from(ClassRule::class, 'r')->join('r.class', 'c'), 'r', $teacher, $id);
        $this->staff->may($teacher, $rule->class);
        $this->em->remove($rule);
        $this->em->flush();
    }
}
