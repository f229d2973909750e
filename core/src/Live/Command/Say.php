<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Command;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Exception\CommandRefused;

/**
 * A notice to all, or to one group alone.
 */
final readonly class Say implements Command
{
    public const MAX_LENGTH = 280;

    public string $text;

    /**
     * @param string       $text    1 to 280 signs
     * @param string|null  $group   to whom; null: to all
     * @param list<string> $members who is in that group just now: it is theirs, also if they move
     *
     * @throws CommandRefused
     */
    public function __construct(string $text, public ?string $group = null, public array $members = [])
    {
        $this->text = trim((string) preg_replace('/\s+/u', ' ', $text));
        if ('' === $this->text) {
            throw CommandRefused::emptyNotice();
        }
        if (mb_strlen($this->text) > self::MAX_LENGTH) {
            throw CommandRefused::longNotice(self::MAX_LENGTH);
        }
    }

    public function decide(RoundState $state, int $now): array
    {
        $to = null === $this->group ? [] : ['group' => $this->group, 'to' => '|'.implode('|', $this->members).'|'];

        return [new Event(EventKind::NoticeSaid, $now, ['text' => $this->text] + $to)];
    }
}
