<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Sending;

use FreshHuddle\App\Materials\Paper\Handout;

/**
 * What a letter to one student is about.
 */
final readonly class LetterFacts
{
    /**
     * @param string   $group    its name
     * @param string   $class    its name
     * @param string   $lesson   its title
     * @param int|null $startsAt milliseconds since 1970
     * @param string   $zone     whose clock times are told by
     * @param string   $language what the class list says they speak; '' where it says nothing
     */
    public function __construct(
        public string $address,
        public Handout $slip,
        public string $group,
        public string $class,
        public string $lesson,
        public ?int $startsAt,
        public string $zone,
        public string $instructions,
        public string $language,
    ) {
    }

    /**
     * @return string 32 hexadecimal digits; the same for letters that say the same
     */
    public function digest(): string
    {
        return hash(
            'xxh128',
            json_encode(
                [
                    $this->slip,
                    $this->group,
                    $this->class,
                    $this->lesson,
                    $this->startsAt,
                    $this->zone,
                    $this->instructions,
                    $this->language,
                ],
                \JSON_THROW_ON_ERROR,
            ),
        );
    }
}
