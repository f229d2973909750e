<?php

declare(strict_types=1);

namespace FreshHuddle\App\Demo;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Grouping\DealRequest;
use FreshHuddle\App\Grouping\EditFloor;
use FreshHuddle\App\Grouping\EditKind;
use FreshHuddle\App\Grouping\GroupingDesk;
use FreshHuddle\App\Live\EditLesson;
use FreshHuddle\App\Live\LessonDesk;
use FreshHuddle\App\Live\Round;
use FreshHuddle\App\Materials\BlockView;
use FreshHuddle\App\Materials\Materials;
use FreshHuddle\App\Materials\SaveOriginal;
use FreshHuddle\App\Roster\Roster;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Materials\BlockKind;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Loads `demo/larkmouth.json` through the same services a teacher's presses go through.
 *
 * @phpstan-type LessonData array{title: string, minutes: int, roundMinutes: int, instructions: string, groups: list<string>, seed: int, original: array{title: string, blocks: list<array{id: string, kind: string, text: string}>}|null}
 * @phpstan-type DemoData array{teacher: array{name: string, email: non-empty-string, password: string}, classes: list<array{name: string, code: string, students: list<string>, lesson: LessonData}>, lecture: array{name: string, code: string, students: int, given: list<string>, family: list<string>}}
 */
final readonly class Larkmouth
{
    public function __construct(
        private EntityManagerInterface $em,
        private Connection $db,
        private Roster $roster,
        private LessonDesk $lessons,
        private GroupingDesk $desk,
        private Materials $materials,
        private UserPasswordHasherInterface $hasher,
    ) {
    }

    public function load(): void
    {
        /** @var DemoData $data the file is ours and a test loads it */
        $data = json_decode((string) file_get_contents(\dirname(__DIR__, 3).'/demo/larkmouth.json'), true, 32, \JSON_THROW_ON_ERROR);
        $teacher = new Teacher(Uuid::v7()->toRfc4122(), $data['teacher']['email'], $data['teacher']['name']);
        $teacher->setPasswordHash($this->hasher->hashPassword($teacher, $data['teacher']['password']));
        $this->em->persist($teacher);

        $this->db->transactional(function () use ($teacher, $data): void {
            // The newest class stands first, so the main one comes last.
            $this->lecture($teacher, $data['lecture']);
            foreach (array_reverse($data['classes']) as $class) {
                $made = $this->schoolClass($teacher, $class['name'], $class['code'], $class['students']);
                $this->lesson($made, $class['lesson']);
            }
        });
    }

    /**
     * @param array{name: string, code: string, students: int, given: list<string>, family: list<string>} $lecture
     */
    private function lecture(Teacher $teacher, array $lecture): void
    {
        $names = [];
        for ($i = 0; $i < $lecture['students']; ++$i) {
            $given = $lecture['given'][$i % \count($lecture['given'])];
            $names[] = $given.' '.$lecture['family'][intdiv($i, \count($lecture['given'])) % \count($lecture['family'])];
        }
        $class = $this->schoolClass($teacher, $lecture['name'], $lecture['code'], $names);
        $round = $this->lessons->create($class, 'Three coasts, thirty tables', 75);
        $this->desk->deal($round->grouping, new DealRequest(0, groups: 30, seed: 7));
    }

    /**
     * @param list<string> $names
     */
    private function schoolClass(Teacher $teacher, string $name, string $code, array $names): SchoolClass
    {
        $class = $this->roster->create($teacher, $name, implode("\n", $names));
        $this->db->update('school_class', ['code' => $code], ['id' => $class->id]);

        return $class;
    }

    /**
     * @param LessonData $data
     */
    private function lesson(SchoolClass $class, array $data): void
    {
        $round = $this->lessons->create($class, $data['title'], $data['minutes']);
        $this->lessons->edit($round->lesson, new EditLesson(instructions: $data['instructions'], roundMinutes: $data['roundMinutes']));
        $this->groups($round, $data['groups'], $data['seed']);
        if (null !== $data['original']) {
            $this->materials->saveOriginal($round, new SaveOriginal($data['original']['title'], 0, array_map(
                static fn (array $block): BlockView => new BlockView($block['id'], BlockKind::from($block['kind']), $block['text']),
                $data['original']['blocks'],
            )));
        }
    }

    /**
     * @param list<string> $names
     */
    private function groups(Round $round, array $names, int $seed): void
    {
        if ([] === $names) {
            return;
        }
        $floor = $this->desk->deal($round->grouping, new DealRequest(0, groups: \count($names), seed: $seed));
        foreach ($floor->groups as $i => $group) {
            $floor = $this->desk->edit($round->grouping, new EditFloor($floor->step, EditKind::Rename, group: $group->id, name: $names[$i]));
        }
    }
}
