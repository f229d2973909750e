<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

/**
 * Whole numbers that all processes of this machine share, and that may be lost at any moment (APCu; where that is
 * missing, each process has its own).
 */
final class MachineMemory
{
    /** @var array<string, int> */
    private array $own = [];
    private readonly bool $isShared;

    public function __construct()
    {
        $this->isShared = \function_exists('apcu_enabled') && apcu_enabled();
    }

    /** @return int 0 where there is none */
    public function get(string $name): int
    {
        $value = $this->isShared ? apcu_fetch($name) : $this->own[$name] ?? 0;

        return \is_int($value) ? $value : 0;
    }

    /** @return int what it is then */
    public function add(string $name, int $step): int
    {
        if (!$this->isShared) {
            return $this->own[$name] = ($this->own[$name] ?? 0) + $step;
        }
        $value = apcu_inc($name, $step);

        return \is_int($value) ? $value : 0;
    }

    /** @return bool whether it was still $old; if so it is $new now */
    public function swap(string $name, int $old, int $new): bool
    {
        if (!$this->isShared) {
            $isUnchanged = ($this->own[$name] ?? 0) === $old;
            $this->own[$name] = $isUnchanged ? $new : $this->own[$name] ?? 0;

            return $isUnchanged;
        }
        apcu_add($name, 0);

        return apcu_cas($name, $old, $new);
    }
}
