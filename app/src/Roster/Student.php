<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\Core\Roster\StudentName;
use FreshHuddle\Core\Roster\StudentRecord;

/**
 * A student on a class list, with what the list says of them.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(
    name: 'student_folded',
    columns: ['class_id', 'folded'],
    options: ['where' => '(removed_at IS NULL)'],
),]
class Student
{
    public const LONGEST_TABLE = 60;

    #[ORM\Column]
    public bool $absent = false;

    /** The form in which two names are the same; once among those on a list. */
    #[ORM\Column(type: 'text')]
    private string $folded = '';

    /** Removed students keep their work; they are on no list and can be brought back. */
    #[ORM\Column(type: 'datetimetz_immutable', nullable: true)]
    public ?\DateTimeImmutable $removedAt = null;

    /** The number or id the school knows the student by. */
    #[ORM\Column(length: 120, nullable: true)]
    public ?string $schoolId = null;

    /** Where they get mail. */
    #[ORM\Column(length: 180, nullable: true)]
    public ?string $email = null;

    /** The table of the seating plan. */
    #[ORM\Column(length: 60, nullable: true)]
    public ?string $seatTable = null;

    /** @var array<string, int|float|string> */
    #[ORM\Column(type: 'json', options: ['jsonb' => true, 'default' => '{}'])]
    public array $attributes = [];

    /** @var list<string> */
    #[ORM\Column(type: 'json', options: ['jsonb' => true, 'default' => '[]'])]
    public array $tags = [];

    /** False for a second device, or the teacher's own sign-in: on the list, but never counted and never seated. */
    #[ORM\Column(options: ['default' => true])]
    public bool $seatable = true;

    /** Takes part in one lesson only, and leaves the list when that ends. */
    #[ORM\Column(options: ['default' => false])]
    public bool $guest = false;

    /** The lesson a guest takes part in; null: the one that ends next. */
    #[ORM\Column(type: 'guid', nullable: true)]
    public ?string $guestOf = null;

    /**
     * The picture they know themselves by, where the class cannot read yet: a number from 0, theirs alone on the list.
     */
    #[ORM\Column(nullable: true)]
    public ?int $picture = null;

    /** How often the pass has been renewed. */
    #[ORM\Column(options: ['default' => 0])]
    public int $passNumber = 0;

    /** When somebody last came in by it. */
    #[ORM\Column(type: 'datetimetz_immutable', nullable: true)]
    public ?\DateTimeImmutable $passUsedAt = null;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'class_id', nullable: false)]
        public readonly SchoolClass $class,
        #[ORM\Column(length: 120)]
        public string $name,
        #[ORM\Column]
        public int $position,
    ) {
        $this->rename($name);
    }

    /**
     * @return string the form in which two names are the same name
     */
    public function folded(): string
    {
        return $this->folded;
    }

    public function rename(string $name): void
    {
        $this->name = $name;
        $this->folded = StudentName::fromText($name)->folded();
    }

    public function record(): StudentRecord
    {
        return new StudentRecord(
            $this->name,
            $this->schoolId,
            $this->seatTable,
            $this->attributes,
            $this->tags,
            $this->email,
        );
    }

    /**
     * Takes over what a list says; what it does not say stays.
     */
    public function fill(StudentRecord $record): void
    {
        $this->rename($record->name);
        $this->schoolId = $record->schoolId ?? $this->schoolId;
        $this->email = $record->email ?? $this->email;
        $this->seatTable = $record->table ?? $this->seatTable;
        $this->attributes = array_replace($this->attributes, $record->attributes); // a name may be a number
        $this->tags = $record->tags ?? $this->tags;
    }
}
