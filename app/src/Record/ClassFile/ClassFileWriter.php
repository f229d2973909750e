<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\ClassFile;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\History\GroupingUsage;
use FreshHuddle\App\Grouping\History\GroupingUse;
use FreshHuddle\App\Http\File\OpenFormat;
use FreshHuddle\App\Http\File\Zip;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Record\Correction\FigureCorrections;
use FreshHuddle\App\Record\Export\RecordExport;
use FreshHuddle\App\Record\Points\PointsRules;
use FreshHuddle\App\Record\RecordBuilder;
use FreshHuddle\App\Roster\MovedStudent;
use FreshHuddle\App\Roster\Rule\ClassRules;
use FreshHuddle\App\Roster\Rule\RuleView;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Student;

/**
 * Saves a whole class as one file: its list, its rules, who has worked with whom, and the records of its lessons.
 */
final readonly class ClassFileWriter
{
    public function __construct(
        private EntityManagerInterface $em,
        private ClassRules $rules,
        private GroupingUsage $usage,
        private RecordBuilder $records,
        private FigureCorrections $corrections,
        private PointsRules $points,
        private RecordExport $export,
    ) {
    }

    /**
     * @return string the bytes of a zip file
     */
    public function write(SchoolClass $class): string
    {
        $lessons = $this->over($class);
        $moved = new MovedClass(
            $class->name,
            array_map(
                MovedStudent::fromStudent(...),
                $this->em->getRepository(Student::class)->findBy(
                    ['class' => $class, 'seatable' => true, 'guest' => false],
                    ['position' => 'ASC'],
                ),
            ),
            array_map(
                static fn (RuleView $rule): MovedRule => new MovedRule($rule->kind, $rule->students),
                $this->rules->forClass($class->id),
            ),
            array_map(
                static fn (GroupingUse $use): MovedGroups => new MovedGroups(
                    $use->at,
                    $use->name,
                    $use->lesson,
                    $use->groups,
                    array_map(
                        static fn (array $role): MovedRole => new MovedRole($role[0], $role[1]),
                        $use->roles,
                    ),
                ),
                $this->usage->uses($class->id),
            ),
            array_map(
                static fn (Lesson $one, int $i): MovedLesson => new MovedLesson(
                    $one->title,
                    $one->minutes,
                    \sprintf('records/%04d.json', $i + 1),
                ),
                $lessons,
                array_keys($lessons),
            ),
        );

        return Zip::fromFiles($this->files($class, $moved, $lessons));
    }

    /**
     * @return list<Lesson> that have a record
     */
    private function over(SchoolClass $class): array
    {
        return array_values(
            array_filter(
                $this->em->getRepository(Lesson::class)->findBy(
                    ['class' => $class, 'template' => false, 'removedAt' => null],
                    ['begunAt' => 'ASC'],
                ),
                static fn (Lesson $one): bool => null !== $one->begunAt && null !== $one->endedAt,
            ),
        );
    }

    /**
     * One record after the other: together they can be larger than what a process may hold.
     *
     * @param list<Lesson> $lessons
     *
     * @return iterable<string, string> bytes by name
     */
    private function files(SchoolClass $class, MovedClass $moved, array $lessons): iterable
    {
        yield ClassFileReader::PLAN => OpenFormat::write(ClassFileReader::FORMAT, get_object_vars($moved));
        $rule = $this->points->ofClass($class);
        foreach ($lessons as $i => $lesson) {
            yield $moved->lessons[$i]->record => $this->export->json(
                $lesson,
                $this->records->record($lesson),
                $this->corrections->ofLesson($lesson),
                $rule,
            );
        }
    }
}
