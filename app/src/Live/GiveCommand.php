<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use FreshHuddle\App\Http\Body\Id;
use FreshHuddle\App\Http\Body\Moment;
use FreshHuddle\App\Lesson\Round;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Command\Begin;
use FreshHuddle\Core\Live\Command\CallBack;
use FreshHuddle\Core\Live\Command\Chalk;
use FreshHuddle\Core\Live\Command\ChangeEnd;
use FreshHuddle\Core\Live\Command\End;
use FreshHuddle\Core\Live\Command\KeepWorking;
use FreshHuddle\Core\Live\Command\Leave;
use FreshHuddle\Core\Live\Command\Reopen;
use FreshHuddle\Core\Live\Command\Say;
use FreshHuddle\Core\Live\Command\SeeCall;
use FreshHuddle\Core\Live\Command\SendOut;
use FreshHuddle\Core\Live\Command\TakeBack;
use FreshHuddle\Core\Live\Command\Visit;
use FreshHuddle\Core\Live\Exception\CommandRefused;
use FreshHuddle\Core\Live\Signal\ChalkMark;
use FreshHuddle\Core\Live\Signal\Signals;

final readonly class GiveCommand
{
    /**
     * @param string|null    $segment for begin and sendOut: which one; null for sendOut: the round the lesson is in or comes to next
     * @param int|null       $seconds for callBack: 0 to 120; null: as the round says
     * @param int|null       $endsAt  for changeEnd: milliseconds since 1970
     * @param string|null    $text    for say
     * @param string|null    $group   for visit, chalk and seeCall; for say: to whom, null: to all
     * @param ChalkMark|null $mark    for chalk; null: none
     */
    public function __construct(
        public CommandKind $kind,
        #[Id]
        public ?string $segment = null,
        public ?int $seconds = null,
        #[Moment]
        public ?int $endsAt = null,
        public ?string $text = null,
        #[Id]
        public ?string $group = null,
        public ?ChalkMark $mark = null,
    ) {
    }

    /**
     * @param Signals      $signals of the round
     * @param string       $who     of the staff gives it
     * @param list<string> $members who sits in the group it is about
     *
     * @throws CommandRefused
     */
    public function command(Round $round, Signals $signals, string $who, array $members = []): Command
    {
        return match ($this->kind) {
            CommandKind::Begin => new Begin($this->segment ?? '', $round->lesson->segment?->id),
            CommandKind::SendOut => new SendOut($round->lookSeconds, $round->segment->minutes, $round->autoCallBack ? $round->callBackSeconds : null),
            CommandKind::TakeBack => new TakeBack(),
            CommandKind::ChangeEnd => new ChangeEnd($this->endsAt ?? 0),
            CommandKind::CallBack => new CallBack($this->seconds ?? $round->callBackSeconds),
            CommandKind::KeepWorking => new KeepWorking(),
            CommandKind::End => new End(null !== $round->lesson->endedAt),
            CommandKind::Reopen => new Reopen(null !== $round->lesson->endedAt),
            CommandKind::Say => new Say($this->text ?? '', $this->group, $members),
            CommandKind::Visit => new Visit($this->group ?? '', $who, $signals),
            CommandKind::Leave => new Leave($who, $signals),
            CommandKind::Chalk => new Chalk($this->group ?? '', $this->mark, $signals),
            CommandKind::SeeCall => new SeeCall($this->group ?? '', $signals),
        };
    }
}
