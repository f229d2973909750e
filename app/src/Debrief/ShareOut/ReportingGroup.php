<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\ShareOut;

/**
 * A group that reports, or is about to.
 */
final readonly class ReportingGroup
{
    /**
     * @param int      $mark   which colour and sign
     * @param int|null $endsAt when its time is up, milliseconds since 1970; null before its turn
     */
    public function __construct(public string $id, public string $name, public int $mark, public ?int $endsAt)
    {
    }

    public static function fromTurn(ShareTurn $turn): self
    {
        return new self($turn->group->id, $turn->group->name, $turn->group->mark, $turn->endsAt);
    }
}
