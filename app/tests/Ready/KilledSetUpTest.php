<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Ready;

use DAMA\DoctrineTestBundle\Doctrine\DBAL\StaticDriver;
use FreshHuddle\App\Ready\Portal\CoursePortal;
use FreshHuddle\App\Ready\Portal\Post;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use FreshHuddle\App\Tests\Support\Outside;
use Symfony\Component\Process\Exception\ProcessSignaledException;
use Symfony\Component\Process\Process;
use Symfony\Component\Uid\Uuid;

/**
 * A worker of its own process is killed (SIGKILL) at every step of a set-up list in turn, and after every answer of
 * every stand-in before it is noted. Another goes on: the same end, and nothing doubled out there.
 */
final class KilledSetUpTest extends AppTestCase
{
    /** Where what was done or answered is noted: the process is killed before each. */
    private const NOTED = '/^(UPDATE room SET external_id|INSERT INTO room_member|INSERT INTO work_copy|UPDATE sent
      SET|INSERT INTO sent|UPDATE set_up|DELETE FROM due_task)/';

    private static string $shared = '';
    private static string $own = '';

    public static function setUpBeforeClass(): void
    {
        // What processes are to see of one another has to stay: a database of its own, and nothing is rolled back.
        StaticDriver::setKeepStaticConnections(false);
        self::$shared = Outside::setting('DATABASE_URL');
        self::$own = (string) preg_replace('~/[^/?]+(\?|$)~', '/fresh_huddle_killed$1', self::$shared);
        self::sql('DROP DATABASE IF EXISTS fresh_huddle_killed WITH (FORCE)');
        self::sql('CREATE DATABASE fresh_huddle_killed');
        self::use(self::$own);
        $migrate = new Process(
            [
                \PHP_BINARY,
                '-d',
                'memory_limit=512M',
                'bin/console',
                '--env=test',
                'doctrine:migrations:migrate',
                '--no-interaction',
                '-q',
            ],
            env: ['DATABASE_URL' => self::$own],
        );
        $migrate->mustRun();
    }

    public static function tearDownAfterClass(): void
    {
        self::use(self::$shared);
        self::ensureKernelShutdown();
        self::sql('DROP DATABASE IF EXISTS fresh_huddle_killed WITH (FORCE)');
        StaticDriver::setKeepStaticConnections(true);
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->client->disableReboot();
        Outside::behave();
    }

    public function test_who_goes_on_ends_where_it_would_have_ended_and_nothing_is_doubled(): void
    {
        [$lesson, $addresses] = $this->begun();
        $log = (string) tempnam(sys_get_temp_dir(), 'statements');
        self::assertSame(0, $this->aWorker('-', $log));
        $this->isSetUp($lesson, $addresses, 'undisturbed');
        $statements = (array) file($log, \FILE_IGNORE_NEW_LINES);
        unlink($log);
        $deaths = array_keys((array) preg_grep(self::NOTED, array_map(strval(...), $statements)));
        self::assertGreaterThan(20, \count($deaths));

        foreach ($deaths as $at) {
            [$lesson, $addresses] = $this->begun();
            self::assertSame(\SIGKILL, $this->aWorker((string) $at), "at {$at}: {$this->text($statements[$at])}");
            $this->db()->executeStatement('UPDATE due_task SET claimed_until = NULL'); // a minute later
            self::assertSame(0, $this->aWorker('-'));
            $this->isSetUp($lesson, $addresses, "killed before statement {$at}: {$this->text($statements[$at])}");
        }
    }

    private function text(mixed $value): string
    {
        return \is_string($value) ? $value : '';
    }

    /**
     * @param list<string> $addresses
     */
    private function isSetUp(Json $lesson, array $addresses, string $when): void
    {
        $this->em()->clear();
        $round = '/api/staff/rounds/'.$lesson->text('round.id');
        self::assertSame(
            [],
            $this->ask('GET', "{$round}/set-up")
                ->is(200)
                ->list('steps'),
            $when,
        );
        self::assertNull($this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'))->at('setUp'), $when);
        $rooms = array_values(
            array_filter(
                $this->db()->fetchFirstColumn('SELECT external_id FROM room WHERE class_id = ?', [
                    $lesson->text('classId'),
                ]),
                is_string(...),
            ),
        );
        self::assertCount(3, $rooms, $when);
        self::assertCount(3, Outside::rooms($rooms), $when);
        self::assertSame(3, Outside::roomsNamed($lesson->text('className')), "{$when}: rooms out there");
        $posts = $this->service(CoursePortal::class)->posts($lesson->text('classId'));
        self::assertSame(
            ['Group 1', 'Group 2'],
            array_map(static fn (Post $post): string => substr($post->title, -7), array_values($posts)),
            $when,
        );
        self::assertSame(
            [1, 1],
            array_map(static fn (string $address): int => \count(Outside::mail($address)), $addresses),
            "{$when}: letters",
        );
        self::assertSame(
            2,
            $this->db()->fetchOne('SELECT COUNT(*) FROM work_copy WHERE round_id = ?', [$lesson->text('round.id')]),
            $when,
        );
        self::assertSame(
            0,
            $this->db()->fetchOne('SELECT COUNT(*) FROM failed_task WHERE class_id = ?', [$lesson->text('classId')]),
            $when,
        );
    }

    /**
     * @return array{Json, list<string>} a lesson whose set-up list somebody has had carried out, and where its letters
     *     go
     */
    private function begun(): array
    {
        $id = $this->ask('POST', '/api/staff/classes', [
            'name' => 'K'.bin2hex(random_bytes(4)),
            'names' => "Ada\nBen\nChi\nDov",
        ])->text('id');
        $lesson = $this->ask('POST', "/api/staff/classes/{$id}/lessons", [
            'title' => 'Where does the wall go?',
            'minutes' => 50,
        ]);
        $this->ask('POST', '/api/staff/groupings/'.$lesson->text('floor.id').'/deal', [
            'basedOn' => 0,
            'groups' => 2,
            'seed' => 1,
        ])->is(200);
        $round = '/api/staff/rounds/'.$lesson->text('round.id');
        $this->ask(
            'POST',
            "{$round}/originals",
            self::original('Sheet', [['id' => 'a', 'kind' => 'together', 'text' => 'Decide.']]),
        )->is(200);
        $addresses = [];
        foreach ([0, 1] as $i) {
            $addresses[] = $address = Uuid::v4()->toRfc4122().'@larkmouth.example';
            $this->ask('PATCH', '/api/staff/students/'.$lesson->text("students.{$i}.id"), [
                'email' => $address,
            ])->is(204);
        }
        $this->ask('PUT', "{$round}/sending", ['posts' => true, 'letters' => true])->is(200);
        $this->db()->executeStatement('DELETE FROM due_task');
        $this->beginSetUp($lesson);

        return [$lesson, $addresses];
    }

    /**
     * @return int how the process ended: 0, or the signal it was killed by
     */
    private function aWorker(string $killedBefore, string $log = '-'): int
    {
        $process = new Process(
            [\PHP_BINARY, '-d', 'memory_limit=512M', \dirname(__DIR__).'/Support/worker.php', $killedBefore, $log],
            env: ['DATABASE_URL' => self::$own, 'APP_ENV' => 'test'],
        );
        $process->setTimeout(60);
        try {
            $process->run();
        } catch (ProcessSignaledException $e) {
            return $e->getSignal();
        }
        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput().$process->getOutput());

        return 0;
    }

    private static function use(string $url): void
    {
        $_ENV['DATABASE_URL'] = $_SERVER['DATABASE_URL'] = $url;
        putenv("DATABASE_URL={$url}");
    }

    private static function sql(string $sql): void
    {
        $url = parse_url(self::$shared);
        \assert(\is_array($url));
        $pdo = new \PDO(
            \sprintf('pgsql:host=%s;port=%s;dbname=postgres', $url['host'] ?? '', $url['port'] ?? ''),
            $url['user'] ?? '',
            $url['pass'] ?? '',
        );
        $pdo->exec($sql);
    }
}
