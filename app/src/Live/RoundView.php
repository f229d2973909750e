<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live;

use FreshHuddle\App\Lesson\Moments;
use FreshHuddle\App\Lesson\Round;

final readonly class RoundView
{
    public function __construct(
        public string $id,
        public string $instructions,
        public int $minutes,
        public int $lookSeconds,
        public int $callBackSeconds,
        public bool $autoCallBack,
        public Moments $moments,
    ) {
    }

    public static function of(Round $round): self
    {
        return new self($round->id, $round->instructions, $round->minutes, $round->lookSeconds, $round->callBackSeconds, $round->autoCallBack, Moments::read($round->moments));
    }
}
