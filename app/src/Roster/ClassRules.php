<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Http\Problem;
use Symfony\Component\Uid\Uuid;

/**
 * Who must be apart, who must be together and who would like to be with whom, kept with the class.
 */
final readonly class ClassRules
{
    private const MOST = 200;

    public function __construct(private Connection $db)
    {
    }

    /**
     * @return list<RuleView> without students who have left the list; a rule with fewer than two left says nothing
     */
    public function of(string $classId): array
    {
        $onList = array_fill_keys(array_filter($this->db->fetchFirstColumn('SELECT id FROM student WHERE class_id = ? AND removed_at IS NULL', [$classId]), \is_string(...)), true);
        $rules = [];
        foreach (Row::all($this->db->fetchAllAssociative('SELECT id, kind, students FROM class_rule WHERE class_id = ? ORDER BY id', [$classId])) as $row) {
            $students = array_values(array_filter($row->json('students'), static fn (mixed $id): bool => \is_string($id) && isset($onList[$id])));
            $kind = RuleKind::from($row->text('kind'));
            $whoWishesHasLeft = !$kind->isMust() && ($row->json('students')[0] ?? null) !== ($students[0] ?? null);
            if (\count($students) >= 2 && !$whoWishesHasLeft) {
                $rules[] = new RuleView($row->text('id'), $kind, array_values(array_filter($students, \is_string(...))));
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
     * @throws Problem 422 if a student is not of the class, or the same rule is there already
     */
    public function add(SchoolClass $class, MakeRule $request): RuleView
    {
        $found = $this->db->fetchOne('SELECT COUNT(*) FROM student WHERE class_id = ? AND removed_at IS NULL AND id IN (?)', [$class->id, $request->students], [1 => \Doctrine\DBAL\ArrayParameterType::STRING]);
        if ($found !== \count($request->students)) {
            throw new Problem(422, 'One of these students is not on the class list.', 'students');
        }
        $there = $this->of($class->id);
        foreach ($there as $rule) {
            $same = $rule->kind === $request->kind && [] === array_diff($rule->students, $request->students) && [] === array_diff($request->students, $rule->students);
            if ($same && ($rule->kind->isMust() || $rule->students[0] === $request->students[0])) {
                throw new Problem(422, 'This rule is there already.', 'students');
            }
        }
        if (\count($there) >= self::MOST) {
            throw new Problem(422, \sprintf('A class has at most %d rules.', self::MOST));
        }
        $id = Uuid::v7()->toRfc4122();
        $this->db->insert('class_rule', ['id' => $id, 'class_id' => $class->id, 'kind' => $request->kind->value, 'students' => json_encode($request->students, \JSON_THROW_ON_ERROR)]);

        return new RuleView($id, $request->kind, $request->students);
    }

    /**
     * @throws Problem 404 if the teacher has no such rule
     */
    public function remove(Teacher $teacher, string $id): void
    {
        if (0 === $this->db->executeStatement('DELETE FROM class_rule r USING school_class c WHERE r.id = ? AND c.id = r.class_id AND c.teacher_id = ?', [$id, $teacher->id])) {
            throw Problem::notFound();
        }
    }
}
