<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Lesson;

/**
 * Where a round stands.
 */
enum Phase: string
{
    /** Nothing has been sent yet. */
    case Planned = 'planned';
    /** Students see who is with whom; they are not sent yet. */
    case Looking = 'looking';
    /** Groups are at work. */
    case Out = 'out';
    /** The call back runs down. */
    case ComingBack = 'comingBack';
    /** Everybody belongs in the main session again. */
    case Back = 'back';

    /**
     * Whether students are meant to see their group and its copy.
     */
    public function showsGroups(): bool
    {
        return self::Planned !== $this;
    }

    /**
     * Whether a sending out has begun and is not over.
     */
    public function isUnderWay(): bool
    {
        return self::Looking === $this || $this->isOut();
    }

    /**
     * Whether students belong in their group's room rather than in the main session.
     */
    public function isOut(): bool
    {
        return self::Out === $this || self::ComingBack === $this;
    }
}
