<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Account;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Staff\ClassStaff;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use FreshHuddle\App\Roster\Staff\StaffRole;
use FreshHuddle\App\Tests\Support\ApiExamples;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Files;
use FreshHuddle\App\Tests\Support\Json;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Who may do what: every address for staff, asked by everybody. The addresses come from the router, so that a new one
 * is asked too.
 */
final class RightsTest extends AppTestCase
{
    /** What only the teacher may do who made the class, or in whose cupboard the original lies. */
    private const OWNERS = [
        'DELETE /api/staff/classes/{id}',
        'POST /api/staff/classes/{id}/restore',
        'DELETE /api/staff/originals/{id}',
        'POST /api/staff/originals/{id}/restore',
        'POST /api/staff/students/{id}/erase',
        'PUT /api/staff/classes/{id}/privacy',
        'GET /api/staff/classes/{id}/file',
    ];

    private Json $lesson;

    /** @var array<string, string> */
    private array $ids;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson();
        $students = array_map(fn (int $i): string => $this->lesson->text("students.{$i}.id"), [0, 1]);
        $rule = $this->ask('POST', '/api/staff/classes/'.$this->lesson->text('classId').'/rules', [
            'kind' => 'apart',
            'students' => $students,
        ])->text('rule.id');
        $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/variants', [
            'name' => 'Laid aside',
        ]);
        $setUp = $this->beginSetUp($this->lesson);
        $room = $this->ask('POST', '/api/staff/rounds/'.$this->lesson->text('round.id').'/rooms')->text('0.id');
        $recording = Uuid::v7()->toRfc4122();
        $this->db()->insert('recording', [
            'id' => $recording,
            'lesson_id' => $this->lesson->text('id'),
            'place' => 'main',
            'name' => '',
            'room' => 'o'.str_repeat('0', 40),
            'state' => 'silent',
            'started_at' => 1,
        ]);
        $this->ids = [
            'classes' => $this->lesson->text('classId'),
            'groupings' => $this->lesson->text('floor.id'),
            'lessons' => $this->lesson->text('id'),
            'rounds' => $this->lesson->text('round.id'),
            'segments' => $this->lesson->text('round.segmentId'),
            'students' => $this->lesson->text('students.0.id'),
            'rules' => $rule,
            'rooms' => $room,
            'originals' => $this->lesson->text('handOut.0.original'),
            'copies' => $this->lesson->text('copies.0.id'),
            'set-ups' => $setUp,
            'margin-notes' => $this->ask(
                'POST',
                '/api/staff/copies/'.$this->lesson->text('copies.0.id').'/notes',
                ['slot' => 'decision', 'text' => 'Why there?'],
            )
                ->is(200)
                ->text('id'),
            'recordings' => $recording,
            'media' => $this->ask('POST', '/api/staff/media', ['content' => base64_encode(Files::picture())])
                ->is(200)
                ->text('id'),
        ];
    }

    /**
     * @return iterable<string, array{string, string, bool}> method, path, whether it is for assistants
     */
    public static function doors(): iterable
    {
        $router = self::bootKernel()->getContainer()->get('router');
        \assert($router instanceof RouterInterface);
        foreach ($router->getRouteCollection() as $route) {
            if (
                !str_starts_with($route->getPath(), '/api/staff/')
                || !str_contains($route->getPath(), '{id}')
                || str_starts_with($route->getPath(), '/api/staff/jobs/')
            ) {
                continue; // what is about the teacher alone has no owner but them
            }
            $action = $route->getDefault('_controller');
            [$class, $method] = [...explode('::', \is_string($action) ? $action : ''), ''];
            foreach ($route->getMethods() as $verb) {
                \assert(class_exists($class));
                $live =
                    [] !==
                    (new \ReflectionMethod($class, '' === $method ? '__invoke' : $method))->getAttributes(
                        ForAssistants::class,
                    );
                yield "{$verb} {$route->getPath()}" => [$verb, $route->getPath(), 'GET' === $verb || $live];
            }
        }
        self::ensureKernelShutdown();
    }

    #[DataProvider('doors')]
    public function test_everybody_may_do_what_their_role_is_for(
        string $method,
        string $path,
        bool $forAssistants,
    ): void {
        $url = $this->url($path);
        $body = (new ApiExamples($this->lesson))->body($method, $path);
        $body = \is_array($body) ? json_encode($body, \JSON_THROW_ON_ERROR) : null;
        $this->asNobody();
        self::assertSame(401, $this->ask($method, $url, $body)->status);

        if (\in_array($path, ['/api/staff/classes/{id}/restore', '/api/staff/lessons/{id}/restore'], true)) {
            $this->throwAway($path);
        }
        $this->asTeacher($this->newTeacher('another@larkmouth.example'));
        $before = $this->counts();
        $answer = $this->ask($method, $url, $body, ['Idempotency-Key' => 'another-teacher']);
        self::assertSame(404, $answer->status, 'another teacher finds nothing here: '.$answer->raw);
        self::assertSame($before, $this->counts());

        $this->asTeacher($this->staff('assistant@larkmouth.example', StaffRole::Assistant));
        $answer = $this->ask($method, $url, $body, ['Idempotency-Key' => 'the-assistant']);
        if (\in_array("{$method} {$path}", self::OWNERS, true)) {
            self::assertContains($answer->status, [403, 404], $answer->raw);
            $this->asTeacher($this->staff('co-teacher@larkmouth.example', StaffRole::CoTeacher));
            self::assertContains($this->ask($method, $url, $body)->status, [403, 404]);
            $this->asTeacher();
            self::assertContains($this->ask($method, $url, $body)->status, [200, 204]);

            return;
        }
        $forAssistants
            ? self::assertNotContains($answer->status, [401, 403, 500], $answer->raw)
            : self::assertSame(403, $answer->status, $answer->raw);
        if (!$forAssistants) {
            self::assertSame($before, $this->counts());
        }

        $this->asTeacher($this->staff('co-teacher@larkmouth.example', StaffRole::CoTeacher));
        $answer = $this->ask($method, $url, $body, ['Idempotency-Key' => 'the-co-teacher']);
        self::assertNotContains($answer->status, [401, 403, 500], $answer->raw);
    }

    public function test_an_assistant_leads_the_lesson_and_leaves_the_list_alone(): void
    {
        $id = $this->lesson->text('id');
        $this->setRound($id, ['lookSeconds' => 0]);
        $this->asTeacher($this->staff('assistant@larkmouth.example', StaffRole::Assistant));
        self::assertSame([$id], array_column((array) $this->ask('GET', '/api/staff/lessons')->at(''), 'id'));
        self::assertSame('assistant', $this->ask('GET', '/api/staff/classes')->at('0.role'));
        $this->command($id, 'sendOut')->is(200);
        $this->command($id, 'say', text: 'Two minutes.')->is(200);
        $this->ask('POST', '/api/staff/students/'.$this->ids['students'].'/absent', ['absent' => true])->is(204);
        $this->ask('PATCH', '/api/staff/students/'.$this->ids['students'], ['name' => 'Renamed'])->is(403);
        $this->ask('DELETE', '/api/staff/students/'.$this->ids['students'])->is(403);
        self::assertStringContainsString(
            'District sheet',
            $this->ask('GET', '/api/staff/rounds/'.$this->ids['rounds'].'/copies')->is(200)->raw,
        );
    }

    /**
     * What can be brought back has been thrown away before.
     */
    private function throwAway(string $path): void
    {
        $this->asTeacher();
        $this->ask('DELETE', str_replace('/restore', '', $this->url($path)))->is(204);
    }

    private function url(string $path): string
    {
        $collection = explode('/', $path)[3];
        \assert(isset($this->ids[$collection]), "Whose is {$path}?");
        $nobody = '00000000-0000-4000-8000-000000000000';

        return strtr($path, [
            '{id}' => $this->ids[$collection],
            '{segment}' => $this->ids['segments'],
            '{format}' => 'originals' === $collection ? 'json' : 'csv',
            '{slot}' => 'decision',
            '{owner}' => $this->lesson->text('copies.0.id'),
            '{who}' => 'x@larkmouth.example',
            '{student}' => $this->ids['students'],
            '{place}' => 'main',
            '{moment}' => 'out',
            '{what}' => 'plan',
            '{variant}' => $nobody,
            '{guest}' => $nobody,
            '{task}' => $nobody,
            '{turn}' => $nobody,
            '{call}' => $nobody,
            '{question}' => $nobody,
            '{remark}' => $nobody,
            '{group}' => $nobody,
            '{at}' => '1',
            '{seq}' => '1',
        ]);
    }

    private function staff(string $email, StaffRole $role): Teacher
    {
        $teacher = $this->newTeacher($email);
        $em = $this->em();
        $class = $em->find(SchoolClass::class, $this->ids['classes']);
        \assert(null !== $class);
        $em->persist(new ClassStaff($class, $teacher, $role));
        $em->flush();

        return $teacher;
    }

    /**
     * @return array<array-key, mixed> how many there are of everything a press could change
     */
    private function counts(): array
    {
        return (array) $this->db()
            ->fetchAssociative('SELECT (SELECT COUNT(*) FROM student WHERE removed_at IS NULL) AS students, (
                SELECT COUNT(*) FROM lesson) AS lessons, (SELECT COUNT(*) FROM grouping WHERE removed_at IS NULL)
                AS groupings,
            (SELECT COUNT(*) FROM floor_step) AS steps, (SELECT COUNT(*) FROM live_event) AS events, (SELECT COUNT(*)
              FROM class_rule) AS rules, (SELECT COUNT(*) FROM work_copy) AS copies,
            (SELECT md5(string_agg(c::text, \',\' ORDER BY c.id)) FROM school_class c) AS classes, (
              SELECT md5(string_agg(s::text, \',\' ORDER BY s.id)) FROM segment s) AS segments');
    }
}
