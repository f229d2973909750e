<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

use FreshHuddle\Core\Pace;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/**
 * Tells students' pages how often they may send, by how long their requests wait on this machine for their turn (header
 * `Pace`, milliseconds; none: as they like). A save that has waited too long already is not done: its page keeps what
 * was typed and sends it again at the pace it is told.
 */
#[AsEventListener(RequestEvent::class, 'turnAway', priority: 4_096)]
#[AsEventListener(ResponseEvent::class, 'tell')]
final readonly class PaceListener
{
    public const HEADER = 'Pace';
    private const STUDENTS = '/api/student/';
    private const SAVE = '~^/api/student/copies/[^/]+/slots/[^/]+$~D';

    public function __construct(private MachineMemory $memory)
    {
    }

    /**
     * @throws Problem 503 a save that has waited too long
     */
    public function turnAway(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (
            $event->isMainRequest()
            && Request::METHOD_PUT === $request->getMethod()
            && QueueTime::waited($request) > Pace::LONGEST_WAIT
            && 1 === preg_match(self::SAVE, $request->getPathInfo())
        ) {
            throw Problem::busy();
        }
    }

    public function tell(ResponseEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest() || !str_starts_with($request->getPathInfo(), self::STUDENTS)) {
            return;
        }
        $waited = QueueTime::waited($request);
        $pace = max($this->pace($waited), $waited > Pace::LONGEST_WAIT ? Pace::LONGEST_WAIT : 0);
        if ($pace > 0) {
            $event->getResponse()->headers->set(self::HEADER, (string) $pace);
        }
    }

    /**
     * @param int $waited milliseconds this request has
     */
    private function pace(int $waited): int
    {
        $now = (int) (microtime(true) * 1_000);
        $sum = $this->memory->add('pace.waited', $waited);
        $requests = $this->memory->add('pace.requests', 1);
        $looked = $this->memory->get('pace.looked');
        if ($now - $looked < Pace::LOOK_EVERY || !$this->memory->swap('pace.looked', $looked, $now)) {
            return $this->memory->get('pace');
        }
        // One process looks; what others add meanwhile counts for the next look.
        $this->memory->add('pace.waited', -$sum);
        $this->memory->add('pace.requests', -$requests);
        $was = $this->memory->get('pace');
        $pace = Pace::next($was, $sum / max(1, $requests));
        $this->memory->add('pace', $pace - $was);

        return $pace;
    }
}
