<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready;

use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\Mend;

/**
 * Puts findings into words.
 */
final readonly class FindingViews
{
    public function __construct(private Words $words)
    {
    }

    /**
     * @param list<int>   $rounds  which to name; none: it concerns all that are to come
     * @param string|null $segment where it is mended; null: in the round that is looked at
     */
    public function view(Finding $finding, array $rounds, ?string $segment): FindingView
    {
        return new FindingView(
            $finding->check,
            $finding->weight,
            $this->words->say($finding->says),
            $finding->mend,
            $this->words->say($finding->press ?? self::press($finding->mend)),
            $finding->subject,
            $rounds,
            $segment,
            $finding->other,
            null === $finding->other ? null : $this->words->say(self::press($finding->other)),
        );
    }

    private static function press(Mend $mend): Message
    {
        return new Message('ready.mend.'.$mend->value);
    }
}
