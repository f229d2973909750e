<?php

declare(strict_types=1);

namespace FreshHuddle\App\DryRun\Practice;

use FreshHuddle\App\Materials\HandOut\Copy\CopySummary;
use FreshHuddle\App\Materials\Writing\CopyView;
use FreshHuddle\Core\DryRun\Behaviours;
use FreshHuddle\Core\DryRun\Mind;
use FreshHuddle\Core\DryRun\Sight;

/**
 * Who plays in a practice: its simulated students as they are remembered by the process that drives it. Another process
 * begins with another memory, in the same lesson.
 */
final class Cast
{
    /** @var array<string, Mind> by student */
    private array $minds = [];
    /** @var array<string, string> the cookie of each device that has come */
    public array $tokens = [];
    /** @var array<string, int> when somebody who waits tries their name as it stands on the list */
    public array $triesAt = [];
    /** @var array<string, true> whose line is away */
    public array $cut = [];
    /** @var array<string, int> when each gave the last sign of life */
    public array $signs = [];
    /** @var array<string, Sight> */
    public array $sights = [];
    /** @var array<string, list<CopyView>> the copies each has open, as they were shown last */
    public array $open = [];
    /** @var list<CopySummary> of the round that is on */
    public array $copies = [];
    /** When these were read, and of which round. */
    public int $copiesAt = 0;
    public string $round = '';
    /** The moment groups went out when somebody asked for help last. */
    public ?int $askedIn = null;

    public function __construct(
        public readonly string $id,
        public readonly string $lesson,
        public readonly int $seed,
        public readonly int $beganAt,
        private readonly int $minutes,
        private readonly bool $isYoung,
    ) {
    }

    /**
     * @param string|null $at where they are seen
     */
    public function mind(string $student, string $name, ?string $at): Mind
    {
        return $this->minds[$student] ??= new Mind(
            Behaviours::draw($this->seed, $name, $name, $this->minutes, $this->isYoung),
            $this->beganAt,
            $this->seed,
            $name,
            $at,
        );
    }
}
