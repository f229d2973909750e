<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Question;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Materials\Cupboard\StoredOriginal;
use FreshHuddle\Core\Debrief\Question\Question;
use FreshHuddle\Core\Debrief\Question\QuestionKind;

/**
 * A quick question to everybody in a lesson. Written by Questions.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'quick_question_number', columns: ['lesson_id', 'number'])]
class QuickQuestion
{
    /** When it was closed; milliseconds since 1970. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $closedAt = null;

    /** Everybody sees the question and what was answered. */
    #[ORM\Column]
    public bool $shown = false;

    /** The worksheet it has become, for everybody to answer alone. */
    #[ORM\ManyToOne, ORM\JoinColumn(name: 'exit_id', onDelete: 'SET NULL')]
    public ?StoredOriginal $exit = null;

    /**
     * @param list<string> $choices
     */
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Lesson $lesson,
        /** From 1, in the order in which they were asked. */
        #[ORM\Column]
        public readonly int $number,
        #[ORM\Column(length: 10, enumType: QuestionKind::class)]
        public readonly QuestionKind $kind,
        #[ORM\Column(length: 200)]
        public readonly string $text,
        #[ORM\Column(type: 'json', options: ['jsonb' => true])]
        public readonly array $choices,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $askedAt,
    ) {
    }

    public function question(): Question
    {
        return new Question($this->kind, $this->text, $this->choices);
    }
}
