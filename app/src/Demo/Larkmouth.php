<?php

declare(strict_types=1);

namespace FreshHuddle\App\Demo;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Transaction;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Loads `demo/larkmouth.json` through the same services a teacher's presses go through.
 *
 * @phpstan-import-type LessonData from DemoLessons
 *
 * @phpstan-type ClassData array{name: string, doorWord: string, students: list<string>,
 *   about?: list<array{string, string, int, string, string}>,
 *   rules?: list<array{kind: string, students: list<string>}>, lesson: LessonData}
 * @phpstan-type DemoData array{teacher: array{name: string, email: non-empty-string, password: string},
 *   classes: list<ClassData>, lecture: array{name: string, doorWord: string, students: int,
 *   given: list<string>, family: list<string>}}
 */
final readonly class Larkmouth
{
    public function __construct(
        private EntityManagerInterface $em,
        private DemoClasses $classes,
        private DemoLessons $lessons,
        private UserPasswordHasherInterface $hasher,
        private Transaction $transaction,
    ) {
    }

    public function load(): void
    {
        /** @var DemoData $data the file is ours and a test loads it */
        $data = json_decode(
            (string) file_get_contents(\dirname(__DIR__, 3).'/demo/larkmouth.json'),
            true,
            32,
            \JSON_THROW_ON_ERROR,
        );
        $teacher = new Teacher(Uuid::v7()->toRfc4122(), $data['teacher']['email'], $data['teacher']['name']);
        $teacher->setPasswordHash($this->hasher->hashPassword($teacher, $data['teacher']['password']));
        $this->em->persist($teacher);

        $this->transaction->run(function () use ($teacher, $data): void {
            // The newest class stands first, so the main one comes last.
            $this->lecture($teacher, $data['lecture']);
            foreach (array_reverse($data['classes']) as $class) {
                $made = $this->classes->create($teacher, $class['name'], $class['doorWord'], $class['students']);
                $this->classes->describe($made, $class['about'] ?? [], $class['rules'] ?? []);
                $this->lessons->create($made, $class['lesson']);
            }
        });
    }

    /**
     * @param array{name: string, doorWord: string, students: int, given: list<string>, family: list<string>} $lecture
     */
    private function lecture(Teacher $teacher, array $lecture): void
    {
        $names = [];
        for ($i = 0; $i < $lecture['students']; ++$i) {
            $given = $lecture['given'][$i % \count($lecture['given'])];
            $names[] =
                $given.' '.$lecture['family'][intdiv($i, \count($lecture['given'])) % \count($lecture['family'])];
        }
        $class = $this->classes->create($teacher, $lecture['name'], $lecture['doorWord'], $names);
        $this->lessons->createLecture($class);
    }
}
