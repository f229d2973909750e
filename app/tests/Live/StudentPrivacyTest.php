<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use Symfony\Component\Routing\Route;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\Uid\Uuid;

/**
 * A student asks for everything the API has, with everything another group owns. Nothing of it may come back.
 */
final class StudentPrivacyTest extends AppTestCase
{
    private const SECRET = 'the wall goes through the churchyard';

    private Json $lesson;
    private string $mine;
    private string $other;
    private string $otherCopy;
    private string $me;
    private string $them;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson(6, 2);
        $this->mine = $this->lesson->text('floor.groups.0.id');
        $this->other = $this->lesson->text('floor.groups.1.id');
        $this->me = $this->join($this->lesson, $this->lesson->text('floor.groups.0.students.0'));
        $this->them = $this->join($this->lesson, $this->lesson->text('floor.groups.1.students.0'));
        foreach ($this->lesson->list('copies') as $i => $copy) {
            if ($this->lesson->text("copies.{$i}.groupId") === $this->other) {
                $this->otherCopy = $this->lesson->text("copies.{$i}.id");
            }
        }
    }

    public function test_nothing_of_any_group_is_shown_before_groups_are_shown(): void
    {
        $this->asStudent($this->me);
        $now = $this->ask('GET', '/api/student/now')->is(200);
        self::assertNull($now->at('group'));
        self::assertStringNotContainsString($this->mine, $now->raw);
        $this->ask('GET', '/api/student/copies/'.$this->myCopy())->is(404);
    }

    public function test_a_student_sees_the_own_group_and_nothing_of_another(): void
    {
        $this->otherGroupHasWritten();
        $this->asStudent($this->me);
        $now = $this->ask('GET', '/api/student/now')->is(200);
        self::assertSame($this->mine, $now->text('group.id'));
        self::assertNothingOfTheirs($now, $this->lesson, $this->otherCopy);
        $this->ask('GET', '/api/student/copies/'.$this->myCopy())->is(200);
    }

    public function test_no_address_of_the_api_gives_a_student_anything_of_another_group(): void
    {
        $this->otherGroupHasWritten();
        $this->asStudent($this->me);
        $ids = [
            $this->otherCopy,
            $this->other,
            $this->lesson->text('floor.groups.1.students.0'),
            $this->lesson->text('id'),
            $this->lesson->text('round.id'),
            $this->lesson->text('classId'),
            $this->lesson->text('floor.id'),
        ];
        $asked = 0;
        foreach ($this->service(RouterInterface::class)->getRouteCollection()->all() as $name => $route) {
            foreach (array_diff($route->getMethods(), ['DELETE']) as $method) {
                foreach ($ids as $id) {
                    if (str_contains($route->getPath(), '/leave') || str_contains($route->getPath(), '/sign-')) {
                        continue; // the first would only send us out; the other two know no students
                    }
                    $path = strtr($route->getPath(), [
                        '{id}' => $id,
                        '{slot}' => 'decision',
                        '{format}' => str_contains($route->getPath(), '/originals/') ? 'json' : 'csv',
                        '{owner}' => $id,
                        '{variant}' => $id,
                        '{guest}' => $id,
                        '{task}' => $id,
                        '{turn}' => $id,
                        '{call}' => $id,
                        '{question}' => $id,
                        '{remark}' => $id,
                        '{segment}' => $id,
                        '{student}' => $id,
                        '{place}' => 'main',
                        '{moment}' => 'out',
                        '{what}' => 'slips',
                        '{media}' => $id,
                        '{note}' => $id,
                        '{group}' => $id,
                        '{at}' => '1',
                        '{seq}' => '1',
                        '{doorWord}' => $this->lesson->text('doorWord'),
                    ]);
                    $body = [
                        'save' => Uuid::v4()->toRfc4122(),
                        'base' => '',
                        'text' => 'x',
                        'kind' => 'callBack',
                        'title' => 'x',
                        'name' => 'x',
                        'names' => 'x',
                        'basedOn' => 0,
                        'groups' => 2,
                        'minutes' => 5,
                        'pages' => [],
                        'rows' => [],
                        'revision' => 1,
                        'doorWord' => 'NOSUCHWORD',
                        'student' => $id,
                        'students' => [$id, $this->other],
                        'table' => $this->other,
                        'settings' => [],
                        'rounds' => [],
                        'archived' => true,
                    ];
                    $body = array_intersect_key($body, $this->fieldsOf($route));
                    $answer = $this->ask($method, $path, 'GET' === $method ? null : $body, [
                        'Idempotency-Key' => 'student-tries-it',
                    ]);
                    ++$asked;
                    self::assertStringNotContainsString(self::SECRET, $answer->raw, $name);
                    if (str_starts_with($path, '/api/staff')) {
                        self::assertSame(401, $answer->status, "{$method} {$path}");
                    }
                    if (!str_contains($path, '/api/student/classes/')) {
                        // the list at the class's door, by the code
                        self::assertNothingOfTheirs(
                            $answer,
                            $this->lesson,
                            str_contains($path, $this->otherCopy) ? null : $this->otherCopy,
                        );
                    }
                }
            }
        }
        self::assertGreaterThan(150, $asked);
    }

    public function test_a_student_cannot_write_in_another_groups_copy_nor_in_anothers_column(): void
    {
        $this->otherGroupHasWritten();
        $this->asStudent($this->me);
        $this->save($this->otherCopy, 'decision', 'mine now')->is(404);
        $this->save($this->otherCopy, 'noticed', 'mine now')->is(404);
        $this->save($this->myCopy(), 'brief', 'nobody writes in the text')->is(404);
        $this->save($this->myCopy(), 'nosuch', 'x')->is(404);
        // In a slot with one answer each there is only the own column to write to.
        self::assertSame(
            $this->lesson->text('floor.groups.0.students.0'),
            $this->save($this->myCopy(), 'noticed', 'I saw mud')->is(200)->text('owner'),
        );
        $this->asStudent($this->them);
        self::assertSame(
            self::SECRET,
            $this->ask('GET', "/api/student/copies/{$this->otherCopy}")->text('answers.0.text'),
        );
    }

    public function test_the_way_to_a_room_is_only_ever_the_own_one(): void
    {
        $this->lookAndGo();
        $db = $this->db();
        $class = $this->lesson->text('classId');
        $as = ['source' => 'meetingService', 'life' => 'grouping'];
        foreach ([[null, 'main'], [$this->mine, 'mine'], [$this->other, 'other']] as [$group, $word]) {
            $room = Uuid::v4()->toRfc4122();
            $db->insert(
                'room',
                $as + [
                    'id' => $room,
                    'class_id' => $class,
                    'purpose' => null === $group ? 'main' : 'group',
                    'grouping_id' => null === $group ? null : $this->lesson->text('floor.id'),
                    'group_id' => $group,
                    'name' => $word,
                    'state' => 'made',
                    'external_id' => "x-{$word}",
                ],
            );
            foreach ([0, 1] as $g) {
                $student = $this->lesson->text("floor.groups.{$g}.students.0");
                if (null === $group || $group === $this->lesson->text("floor.groups.{$g}.id")) {
                    $db->insert('room_member', [
                        'room_id' => $room,
                        'student_id' => $student,
                        'link' => "https://rooms.example/{$word}/{$g}",
                    ]);
                }
            }
        }
        $this->asStudent($this->me);
        $this->ask('GET', '/api/student/room')->is(302);
        self::assertStringStartsWith(
            'https://rooms.example/mine/0?',
            (string) $this->client->getResponse()->headers->get('Location'),
        );
        $this->asTeacher();
        $this->command($this->lesson->text('id'), 'callBack', seconds: 0);
        $this->asStudent($this->me);
        $this->ask('GET', '/api/student/room')->is(302);
        self::assertStringStartsWith(
            'https://rooms.example/main/0?',
            (string) $this->client->getResponse()->headers->get('Location'),
        );
    }

    public function test_a_student_who_is_moved_takes_leave_of_the_old_copy_at_once(): void
    {
        $this->lookAndGo();
        $student = $this->lesson->text('floor.groups.0.students.0');
        $this->asStudent($this->me);
        $this->save($this->myCopy(), 'decision', 'before')->is(200);
        $this->asTeacher();
        $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/edits', [
            'basedOn' => 1,
            'kind' => 'seat',
            'student' => $student,
            'group' => $this->other,
        ])->is(200);
        $this->asStudent($this->me);
        $this->ask('GET', '/api/student/copies/'.$this->myCopy())->is(404);
        $this->save($this->myCopy(), 'decision', 'after')->is(404);
        $this->save($this->otherCopy, 'decision', 'hello')->is(200);
    }

    /**
     * @return array<string, true> what a route reads from a body
     */
    private function fieldsOf(Route $route): array
    {
        $controller = $route->getDefault('_controller');
        \assert(\is_string($controller));
        [$class, $method] = explode('::', $controller) + [1 => '__invoke'];
        \assert(class_exists($class));
        foreach ((new \ReflectionMethod($class, $method))->getParameters() as $parameter) {
            $type = $parameter->getType();
            if (
                [] !== $parameter->getAttributes(Body::class)
                && $type instanceof \ReflectionNamedType
                && class_exists($type->getName())
            ) {
                return array_fill_keys(
                    array_map(
                        static fn (\ReflectionParameter $field): string => $field->getName(),
                        (new \ReflectionClass($type->getName()))->getConstructor()?->getParameters() ?? [],
                    ),
                    true,
                );
            }
        }

        return [];
    }

    private function lookAndGo(): void
    {
        $this->asTeacher();
        $this->setRound($this->lesson->text('id'), ['lookSeconds' => 0]);
        $this->command($this->lesson->text('id'), 'sendOut')->is(200);
    }

    private function otherGroupHasWritten(): void
    {
        $this->lookAndGo();
        $this->asStudent($this->them);
        $this->save($this->otherCopy, 'decision', self::SECRET)->is(200);
    }

    private function save(string $copy, string $slot, string $text): Json
    {
        return $this->ask('PUT', "/api/student/copies/{$copy}/slots/{$slot}", [
            'save' => Uuid::v4()->toRfc4122(),
            'base' => '',
            'text' => $text,
        ]);
    }

    private function myCopy(): string
    {
        foreach (array_keys($this->lesson->list('copies')) as $i) {
            if ($this->lesson->text("copies.{$i}.groupId") === $this->mine) {
                return $this->lesson->text("copies.{$i}.id");
            }
        }
        self::fail('no copy');
    }

    private static function assertNothingOfTheirs(Json $answer, Json $lesson, ?string $otherCopy): void
    {
        self::assertStringNotContainsString(self::SECRET, $answer->raw);
        self::assertStringNotContainsString($lesson->text('floor.groups.1.name'), $answer->raw);
        self::assertStringNotContainsString('"'.$lesson->text('floor.groups.1.id').'"', $answer->raw);
        if (null !== $otherCopy) {
            self::assertStringNotContainsString($otherCopy, $answer->raw);
        }
        foreach ($lesson->list('students') as $student) {
            \assert(\is_array($student) && \is_string($student['id']) && \is_string($student['name']));
            if (\in_array($student['id'], $lesson->texts('floor.groups.1.students'), true)) {
                self::assertStringNotContainsString($student['name'], $answer->raw);
            }
        }
    }
}
