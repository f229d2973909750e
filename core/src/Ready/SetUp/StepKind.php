<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\SetUp;

/**
 * What one step of a set-up list does.
 */
enum StepKind: string
{
    case MakeRoom = 'makeRoom';
    case RenameRoom = 'renameRoom';
    /** Gives access, takes it, or both. */
    case ChangeMembers = 'changeMembers';
    case RetireRoom = 'retireRoom';
    case MakeCopies = 'makeCopies';
    case BringCopies = 'bringCopies';
    case RetireCopies = 'retireCopies';
    case Post = 'post';
    case ChangePost = 'changePost';
    case Withdraw = 'withdraw';
    case Send = 'send';
}
