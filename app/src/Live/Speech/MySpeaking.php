<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Speech;

/**
 * Whether a student may speak in the main session.
 */
final readonly class MySpeaking
{
    /**
     * @param bool $muted everybody is, but for whoever has the microphone
     * @param bool $given they have it
     * @param bool $asked they have asked for it
     */
    public function __construct(public bool $muted = false, public bool $given = false, public bool $asked = false)
    {
    }

    /**
     * @param array<array-key, mixed> $row the three of them
     */
    public static function read(array $row): self
    {
        return new self(true === ($row[0] ?? false), true === ($row[1] ?? false), true === ($row[2] ?? false));
    }
}
