<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Lesson;

enum EventKind: string
{
    case SentOut = 'sentOut';
    case TakenBack = 'takenBack';
    case EndChanged = 'endChanged';
    case CalledBack = 'calledBack';
    case KeptWorking = 'keptWorking';
    case NoticeSaid = 'noticeSaid';
    case SeatsChanged = 'seatsChanged';
    case WhereaboutsChanged = 'whereaboutsChanged';
}
