<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Http;

use FreshHuddle\App\Http\MachineMemory;
use FreshHuddle\App\Http\PaceListener;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Kernel;
use FreshHuddle\Core\Pace;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\HttpKernel\HttpKernelInterface;

final class PacingTest extends TestCase
{
    private const SAVE = '/api/student/copies/01a/slots/each';

    public function test_pages_are_told_a_pace_once_requests_wait_and_none_when_they_no_longer_do(): void
    {
        $pacing = new PaceListener(new MachineMemory());
        self::assertNull($this->told($pacing, 0));
        $this->told($pacing, 900);
        usleep(1_000 * (Pace::LOOK_EVERY + 10));
        self::assertGreaterThanOrEqual(500, (int) $this->told($pacing, 900));
        for ($i = 0; $i < 20 && null !== $this->told($pacing, 0); ++$i) {
            usleep(1_000 * (Pace::LOOK_EVERY + 10));
        }
        self::assertGreaterThan(0, (int) $this->told($pacing, 0), 'it falls slowly');
    }

    public function test_teachers_are_told_none(): void
    {
        $pacing = new PaceListener(new MachineMemory());
        for ($i = 0; $i < 3; ++$i) {
            self::assertNull($this->told($pacing, 900, '/api/staff/me'));
            usleep(1_000 * (Pace::LOOK_EVERY + 10));
        }
        self::assertNull($this->told($pacing, 0));
    }

    #[DataProvider('requests')]
    public function test_only_a_save_that_has_waited_too_long_is_turned_away(
        string $method,
        string $path,
        int $waited,
        bool $away,
    ): void {
        $event = new RequestEvent(
            new Kernel('test', false),
            $this->request($method, $path, $waited),
            HttpKernelInterface::MAIN_REQUEST,
        );
        if ($away) {
            $this->expectExceptionObject(Problem::busy());
        }
        (new PaceListener(new MachineMemory()))->turnAway($event);
        self::assertFalse($event->hasResponse());
    }

    /**
     * @return iterable<string, array{string, string, int, bool}>
     */
    public static function requests(): iterable
    {
        yield 'a save that has waited too long' => ['PUT', self::SAVE, Pace::LONGEST_WAIT + 1, true];
        yield 'a save in good time' => ['PUT', self::SAVE, Pace::LONGEST_WAIT, false];
        yield 'a question' => ['GET', '/api/student/now', 60_000, false];
        yield 'a call for help' => ['POST', '/api/student/call', 60_000, false];
        yield 'a teacher' => ['PUT', '/api/staff/originals/01a', 60_000, false];
    }

    private function told(PaceListener $pacing, int $waited, string $path = self::SAVE): ?string
    {
        $response = new Response();
        $pacing->tell(
            new ResponseEvent(
                new Kernel('test', false),
                $this->request('PUT', $path, $waited),
                HttpKernelInterface::MAIN_REQUEST,
                $response,
            ),
        );

        return $response->headers->get(PaceListener::HEADER);
    }

    private function request(string $method, string $path, int $waited): Request
    {
        $begun = 1_700_000_000.0;
        $request = Request::create($path, $method);
        $request->server->set('HUDDLE_HANDED_ON', (string) ($begun - $waited / 1_000));
        $request->server->set('REQUEST_TIME_FLOAT', $begun);

        return $request;
    }
}
