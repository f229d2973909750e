<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Command;

use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Exception\CommandRefused;
use FreshHuddle\Core\SingleLine;
use FreshHuddle\Core\Visible;

/**
 * A notice to all, to some groups, or to single students.
 */
final readonly class Say implements Command
{
    public const MAX_LENGTH = 280;

    public string $text;

    /**
     * @param string       $text   1 to 280 signs
     * @param list<string> $groups to whom
     * @param list<string> $to     every student it goes to: it is theirs, also if they move; none: to all
     * @param string|null  $plan   the prepared notice it is
     *
     * @throws CommandRefused
     */
    public function __construct(
        string $text,
        public array $groups = [],
        public array $to = [],
        public ?string $plan = null,
    ) {
        $this->text = SingleLine::fromText($text);
        if (!Visible::check($this->text)) {
            throw CommandRefused::emptyNotice();
        }
        if (mb_strlen($this->text) > self::MAX_LENGTH) {
            throw CommandRefused::longNotice(self::MAX_LENGTH);
        }
    }

    public function decide(RoundState $state, int $now): array
    {
        $groups = [] === $this->to ? [] : ['groups' => implode('|', $this->groups)];

        return [
            new Event(
                EventKind::NoticeSaid,
                $now,
                ['text' => $this->text] + $groups + (null === $this->plan ? [] : ['plan' => $this->plan]),
                [] === $this->to ? null : $this->to,
            ),
        ];
    }
}
