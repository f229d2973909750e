<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp\Work;

use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Ready\SetUp\SetUpStep;
use FreshHuddle\App\Rooms\Exception\NoLinkYet;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\RoundRooms;
use FreshHuddle\Core\Grouping\Exception\NotOnTheFloor;
use FreshHuddle\Core\Ready\SetUp\StepKind;
use FreshHuddle\Core\Rooms\MainSession;

/**
 * Carries out the steps that are about rooms.
 */
final readonly class RoomSteps implements StepRunner
{
    public function __construct(private RoundRooms $rooms)
    {
    }

    public static function kinds(): array
    {
        return [StepKind::MakeRoom, StepKind::RenameRoom, StepKind::ChangeMembers, StepKind::RetireRoom];
    }

    public function begin(Round $round): void
    {
    }

    public function do(SetUpStep $step): void
    {
        $round = $step->round;
        try {
            match ($step->kind) {
                StepKind::RenameRoom => $this->rooms->callByPattern($round, $step->subject),
                StepKind::RetireRoom => $this->rooms->letGo($step->subject),
                default => $this->rooms->provision($round, $step->groupId ?? MainSession::PLACE),
            };
        } catch (MeetingServiceFailed $e) {
            throw StepNotDone::atService($e);
        } catch (NoLinkYet $e) {
            throw StepNotDone::withoutLink($e);
        } catch (NotOnTheFloor) {
            // its table was taken away meanwhile: nothing to make
        }
    }
}
