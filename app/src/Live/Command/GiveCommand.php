<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Command;

use FreshHuddle\App\Http\Body\Id;
use FreshHuddle\App\Http\Body\Ids;
use FreshHuddle\App\Http\Body\Moment;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Command\Begin;
use FreshHuddle\Core\Live\Command\CallBack;
use FreshHuddle\Core\Live\Command\Chalk;
use FreshHuddle\Core\Live\Command\ChangeEnd;
use FreshHuddle\Core\Live\Command\End;
use FreshHuddle\Core\Live\Command\Fetch;
use FreshHuddle\Core\Live\Command\GoOn;
use FreshHuddle\Core\Live\Command\KeepWorking;
use FreshHuddle\Core\Live\Command\Leave;
use FreshHuddle\Core\Live\Command\Pause;
use FreshHuddle\Core\Live\Command\PutBack;
use FreshHuddle\Core\Live\Command\Reopen;
use FreshHuddle\Core\Live\Command\Say;
use FreshHuddle\Core\Live\Command\SeeCall;
use FreshHuddle\Core\Live\Command\SendOut;
use FreshHuddle\Core\Live\Command\TakeAside;
use FreshHuddle\Core\Live\Command\TakeBack;
use FreshHuddle\Core\Live\Command\Visit;
use FreshHuddle\Core\Live\Exception\CommandRefused;
use FreshHuddle\Core\Live\Signal\ChalkMark;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: a command of a running lesson, with what it needs.
 */
final readonly class GiveCommand
{
    /**
     * @param string|null    $segment for begin and sendOut: which one; null for sendOut: the round the lesson is in or
     *     comes to next
     * @param int|null       $seconds  for callBack: 0 to 120; null: as the round says
     * @param int|null       $endsAt   for changeEnd: milliseconds since 1970
     * @param string|null    $text     for say
     * @param string|null    $group    for visit, chalk and seeCall; for takeAside, putBack and fetch: all its members
     * @param ChalkMark|null $mark     for chalk; null: none
     * @param list<string>   $groups   for say: to whom
     * @param list<string>   $students for say, takeAside, putBack and fetch: whom; fetch of nobody in particular: all
     *     who are not where they should be; say to no group and no student: to all
     * @param string|null    $place    for takeAside: `main` or the id of a side room
     * @param string|null    $leaving for begin, sendOut and reopen: the class's other lesson that is on, which ends by
     *     it; refused while one is on that is not named here
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
        #[Ids(400)]
        public array $groups = [],
        #[Ids(1_000)]
        public array $students = [],
        #[Assert\Length(max: 40)]
        public ?string $place = null,
        #[Id]
        public ?string $leaving = null,
    ) {
    }

    /**
     * @throws CommandRefused
     */
    public function command(Round $round, CommandContext $standing): Command
    {
        return match ($this->kind) {
            CommandKind::Begin => new Begin($this->segment ?? '', $round->lesson->segment?->id),
            CommandKind::SendOut => new SendOut(
                $round->lookSeconds,
                $round->segment->minutes,
                $round->autoCallBack ? $round->callBackSeconds : null,
            ),
            CommandKind::TakeBack => new TakeBack(),
            CommandKind::ChangeEnd => new ChangeEnd($this->endsAt ?? 0),
            CommandKind::CallBack => new CallBack($this->seconds ?? $round->callBackSeconds),
            CommandKind::KeepWorking => new KeepWorking(),
            CommandKind::End => new End(null !== $round->lesson->endedAt),
            CommandKind::Reopen => new Reopen(null !== $round->lesson->endedAt),
            CommandKind::Say => new Say($this->text ?? '', $this->groups, $standing->students),
            CommandKind::Visit => new Visit($this->group ?? '', $standing->who, $standing->signals()),
            CommandKind::Leave => new Leave($standing->who, $standing->signals()),
            CommandKind::Chalk => new Chalk($this->group ?? '', $this->mark, $standing->signals()),
            CommandKind::TakeAside => new TakeAside(
                $standing->students,
                $this->place ?? '',
                $this->seconds ?? 0,
                $standing->moves(),
            ),
            CommandKind::PutBack => new PutBack($standing->students, $standing->moves()),
            CommandKind::Fetch => new Fetch($standing->helps, $standing->moves()),
            CommandKind::Pause => new Pause(),
            CommandKind::GoOn => new GoOn(),
            CommandKind::SeeCall => new SeeCall($this->group ?? '', $standing->signals()),
        };
    }
}
