<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Portal;

/**
 * A post: what it says, to whom, and what the portal is to do with it.
 */
final readonly class Post
{
    /**
     * @param list<string> $audience our ids of the students who see it, and nobody else does
     * @param string       $unit     of the course; '' for none
     * @param int|null     $dueAt    milliseconds since 1970
     * @param bool         $counted  for marks
     * @param string       $link     where the work is done
     */
    public function __construct(
        public string $title,
        public string $text,
        public array $audience,
        public string $unit,
        public ?int $dueAt,
        public bool $counted,
        public string $link,
    ) {
    }

    /**
     * @param list<string> $students
     */
    public function isSeenByJust(array $students): bool
    {
        return [] === array_diff($this->audience, $students) && [] === array_diff($students, $this->audience);
    }

    /**
     * @return string 32 hexadecimal digits; the same for posts that say and do the same, whoever sees them
     */
    public function digest(): string
    {
        return hash(
            'xxh128',
            json_encode(
                [$this->title, $this->text, $this->unit, $this->dueAt, $this->counted, $this->link],
                \JSON_THROW_ON_ERROR,
            ),
        );
    }
}
