<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Support;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\Persistence\ManagerRegistry;
use FreshHuddle\App\Account\Device\TeacherDevices;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Roster\Device\StudentDeviceStore;
use FreshHuddle\App\Worker\WorkCommand;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Bundle\FrameworkBundle\Test\WebTestCase;
use Symfony\Component\BrowserKit\Cookie;
use Symfony\Component\Uid\Uuid;

/**
 * The application asked over HTTP, with a database of its own; each test's changes are rolled back.
 */
abstract class AppTestCase extends WebTestCase
{
    protected KernelBrowser $client;
    protected Teacher $teacher;

    /** @var array<string, string> a device's cookie by teacher */
    private array $signedIn = [];

    protected function setUp(): void
    {
        $this->client = self::createClient();
        $this->forgetLimits();
        $this->teacher = $this->newTeacher('ines@larkmouth.example');
        $this->asTeacher();
    }

    protected function newTeacher(string $email): Teacher
    {
        \assert('' !== $email);
        $teacher = new Teacher(Uuid::v7()->toRfc4122(), $email, 'Ines Halvorsen');
        $teacher->setPasswordHash('harbour');
        $em = $this->em();
        $em->persist($teacher);
        $em->flush();
        $this->signIn($teacher);

        return $teacher;
    }

    /**
     * On a device of its own, for `asTeacher`.
     */
    protected function signIn(Teacher $teacher): void
    {
        $this->signedIn[$teacher->id] = $this->service(TeacherDevices::class)->signIn($teacher);
    }

    protected function asTeacher(?Teacher $teacher = null): void
    {
        $this->client->getCookieJar()->clear();
        $this->client
            ->getCookieJar()
            ->set(new Cookie(TeacherDevices::COOKIE, $this->signedIn[($teacher ?? $this->teacher)->id]));
    }

    protected function asStudent(string $token): void
    {
        $this->client->getCookieJar()->clear();
        $this->client->getCookieJar()->set(new Cookie(StudentDeviceStore::COOKIE, $token));
    }

    protected function asNobody(): void
    {
        $this->client->getCookieJar()->clear();
    }

    /**
     * @param array<string, mixed>|string|null $body    an array goes out as JSON, a string as it is
     * @param array<string, string>            $headers
     */
    protected function ask(string $method, string $path, array|string|null $body = null, array $headers = []): Json
    {
        $server = ['CONTENT_TYPE' => 'application/json'];
        foreach ($headers as $name => $value) {
            $server['HTTP_'.strtoupper(strtr($name, '-', '_'))] = $value;
        }
        $content = \is_array($body) ? json_encode((object) $body, \JSON_THROW_ON_ERROR) : $body;
        $this->client->request($method, $path, [], [], $server, $content);

        return new Json($this->client->getResponse());
    }

    protected function command(
        string $lessonId,
        string $kind,
        ?int $seconds = null,
        ?int $endsAt = null,
        ?string $text = null,
        ?string $leaving = null,
    ): Json {
        return $this->ask(
            'POST',
            "/api/staff/lessons/{$lessonId}/commands",
            compact('kind', 'seconds', 'endsAt', 'text', 'leaving'),
            ['Idempotency-Key' => Uuid::v4()->toRfc4122()],
        );
    }

    /**
     * @return Json the lesson of a new class with these students
     */
    protected function newLesson(int $students = 6, string $class = '9G'): Json
    {
        $names = implode(
            "\n",
            array_map(static fn (int $i): string => 'Student '.($i <= 26 ? \chr(64 + $i) : $i), range(1, $students)),
        );
        $id = $this->ask('POST', '/api/staff/classes', ['name' => $class, 'names' => $names])->text('id');

        return $this->ask('POST', "/api/staff/classes/{$id}/lessons", [
            'title' => 'Where does the wall go?',
            'minutes' => 50,
        ]);
    }

    /**
     * A lesson whose class sits in groups, with an original and a copy for each group.
     *
     * @return Json the lesson
     */
    protected function readyLesson(int $students = 6, int $groups = 2): Json
    {
        $lesson = $this->newLesson($students);
        $this->ask('POST', '/api/staff/groupings/'.$lesson->text('floor.id').'/deal', [
            'basedOn' => 0,
            'groups' => $groups,
            'seed' => 1,
        ]);
        $round = $lesson->text('round.id');
        $this->ask(
            'POST',
            "/api/staff/rounds/{$round}/originals",
            self::original('District sheet', [
                ['id' => 'brief', 'kind' => 'text', 'text' => 'Larkmouth floods.'],
                ['id' => 'noticed', 'kind' => 'each', 'text' => 'What do you notice?'],
                ['id' => 'decision', 'kind' => 'together', 'text' => 'Our decision'],
            ]),
        )->is(200);
        $this->ask('POST', "/api/staff/rounds/{$round}/copies");

        return $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'));
    }

    /**
     * An original of one page, as it is sent.
     *
     * @param list<array<string, mixed>> $blocks
     * @param list<array<string, mixed>> $variants
     *
     * @return array<string, mixed>
     */
    protected static function original(string $title, array $blocks, int $basedOn = 0, array $variants = []): array
    {
        return [
            'title' => $title,
            'basedOn' => $basedOn,
            'pages' => [['id' => 'page-1', 'title' => '', 'blocks' => $blocks]],
            'variants' => $variants,
        ];
    }

    /**
     * Sets the round a lesson is in or comes to next.
     *
     * @param array<string, mixed> $fields
     */
    protected function setRound(string $lessonId, array $fields): Json
    {
        $segment = $this->ask('GET', "/api/staff/lessons/{$lessonId}")->text('round.segmentId');

        return $this->ask('PATCH', "/api/staff/segments/{$segment}", $fields);
    }

    /**
     * Has the set-up list of a lesson's round carried out; nobody has come to it yet.
     *
     * @return string the set-up
     */
    protected function beginSetUp(Json $lesson): string
    {
        $round = '/api/staff/rounds/'.$lesson->text('round.id').'/set-up';
        $this->ask('POST', $round, ['digest' => $this->ask('GET', $round)->text('digest')])->is(204);
        $id = $this->db()->fetchOne('SELECT id FROM set_up WHERE lesson_id = ?', [$lesson->text('id')]);

        return \is_string($id) ? $id : self::fail('nothing to set up');
    }

    protected function nameOf(Json $lesson, string $studentId): string
    {
        foreach (array_keys($lesson->list('students')) as $i) {
            if ($lesson->text("students.{$i}.id") === $studentId) {
                return $lesson->text("students.{$i}.name");
            }
        }
        self::fail('no such student');
    }

    /**
     * What counts towards limits is kept outside the database, so it is not rolled back.
     */
    protected function forgetLimits(): void
    {
        $pool = self::getContainer()->get('cache.limits');
        \assert($pool instanceof CacheItemPoolInterface);
        $pool->clear();
    }

    /**
     * @return string the cookie of the device that has chosen this student's name
     */
    protected function join(Json $lesson, string $studentId): string
    {
        $this->asNobody();
        $this->forgetLimits();
        $this->ask('POST', '/api/student/join', [
            'doorWord' => $lesson->text('doorWord'),
            'name' => $this->nameOf($lesson, $studentId),
        ])->is(200);
        $token = $this->client->getCookieJar()->get(StudentDeviceStore::COOKIE)?->getValue();
        \assert(\is_string($token));
        $this->asTeacher();

        return $token;
    }

    /**
     * Does the work that is due, as a worker would.
     */
    protected function work(): void
    {
        $worker = $this->service(WorkCommand::class);
        for ($i = 0; $i < 100 && $worker->workOnce(); ++$i) {
        }
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    protected function service(string $class): object
    {
        $service = self::getContainer()->get($class);
        self::assertInstanceOf($class, $service);

        return $service;
    }

    /**
     * One that is open: a request that was refused in the middle of a transaction closes its own.
     */
    protected function em(): EntityManagerInterface
    {
        $em = $this->service(EntityManagerInterface::class);
        if (!$em->isOpen()) {
            $managers = self::getContainer()->get('doctrine');
            \assert($managers instanceof ManagerRegistry);
            $managers->resetManager();
        }

        return $em;
    }

    protected function db(): Connection
    {
        return $this->service(Connection::class);
    }
}
