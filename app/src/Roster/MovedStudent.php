<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use FreshHuddle\App\Http\Body\Id;
use FreshHuddle\App\Roster\Column\AttributeValue;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * A student of a class that moves house.
 */
final readonly class MovedStudent
{
    /**
     * @param string               $id         as the file has it
     * @param list<AttributeValue> $attributes
     * @param list<string>         $tags
     * @param bool                 $former     is on the list no more
     */
    public function __construct(
        #[Id]
        public string $id,
        #[Assert\NotBlank(normalizer: 'trim'), Assert\Length(max: 120)]
        public string $name,
        #[Assert\Length(max: 120)]
        public string $schoolId = '',
        #[Assert\Length(max: 180), Assert\Email]
        public string $email = '',
        #[Assert\Length(max: 60)]
        public string $table = '',
        #[Assert\Valid, Assert\Count(max: 60)]
        public array $attributes = [],
        #[Assert\Count(max: 30), Assert\All([new Assert\NotBlank(normalizer: 'trim'), new Assert\Length(max: 60)])]
        public array $tags = [],
        public bool $former = false,
    ) {
    }

    public static function fromStudent(Student $student): self
    {
        $attributes = [];
        foreach ($student->attributes as $name => $value) {
            $attributes[] = new AttributeValue((string) $name, (string) $value);
        }

        return new self(
            $student->id,
            $student->name,
            $student->schoolId ?? '',
            $student->email ?? '',
            $student->seatTable ?? '',
            $attributes,
            $student->tags,
            null !== $student->removedAt,
        );
    }
}
