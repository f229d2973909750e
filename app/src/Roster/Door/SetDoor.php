<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: how students join.
 */
final readonly class SetDoor
{
    /**
     * What is null stays as it is.
     *
     * @param bool|null     $names whether names stand at the door to be pressed, while a lesson is on; false: they are
     *     typed
     * @param string|null   $language      in which texts are read out to them: a code as “cy-GB” (BCP 47)
     * @param bool|null     $cannotReadYet whether these students have to be told what to do so that they can hear it
     * @param bool|null     $twoDevices    whether a student may use two devices at once
     * @param DoorMode|null $mode          who comes in by themselves
     */
    public function __construct(
        public ?bool $names = null,
        public ?bool $cannotReadYet = null,
        #[Assert\Regex('/^[a-zA-Z]{2,3}(-[a-zA-Z0-9]{2,8}){0,3}$/D', message: 'roster.language'),]
        public ?string $language = null,
        public ?DoorMode $mode = null,
        public ?bool $twoDevices = null,
    ) {
    }
}
