<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use FreshHuddle\App\Roster\Column\AttributeView;
use FreshHuddle\App\Roster\Door\DoorMode;
use FreshHuddle\App\Roster\Rule\RuleView;

/**
 * A class with its list.
 */
final readonly class ClassView
{
    /**
     * @param bool                $namesAtDoor   names can be pressed at the door while a lesson is on
     * @param string              $language      in which texts are read out to them, a code as “cy-GB” (BCP 47)
     * @param bool                $cannotReadYet they have to be told what to do so that they can hear it
     * @param bool                $twoDevices    a student may use two devices at once
     * @param DoorMode            $door          who comes in by themselves
     * @param list<StudentView>   $students
     * @param list<AttributeView> $attributes    what the list says of the students
     * @param list<string>        $tags          those that come up
     * @param list<string>        $tables        tables of the seating plan, in the order of their names
     * @param list<RuleView>      $rules
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $doorWord,
        public bool $archived,
        public bool $namesAtDoor,
        public bool $cannotReadYet,
        public string $language,
        public bool $twoDevices,
        public DoorMode $door,
        public array $students,
        public array $attributes,
        public array $tags,
        public array $tables,
        public array $rules,
    ) {
    }
}
