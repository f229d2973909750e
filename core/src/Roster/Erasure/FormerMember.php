<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster\Erasure;

/**
 * What becomes of a student who is erased, in papers that belong to others: nobody's id, and words instead of the name.
 */
final readonly class FormerMember
{
    /** Stands where a student’s id stood, and is nobody’s. */
    public const NOBODY = '00000000-0000-0000-0000-000000000000';

    /** @var list<string> in free text: names of at least two words, for “Will” is also a word; the longest first */
    public array $names;

    /**
     * @param string       $id     of the student
     * @param list<string> $names  all they were known by
     * @param string       $called what stands instead: “a former member”
     */
    public function __construct(public string $id, array $names, public string $called)
    {
        $full = array_filter(
            array_unique($names),
            static fn (string $name): bool => 1 === preg_match('/\S\s+\S/u', $name),
        );
        usort($full, static fn (string $one, string $other): int => \strlen($other) <=> \strlen($one));
        $this->names = $full;
    }

    /**
     * A text of somebody else, without the name and the id. Case does not matter; part of a longer word does not count.
     *
     * O(text × names)
     */
    public function text(string $text): string
    {
        $clean = str_replace($this->id, self::NOBODY, $text);
        foreach ($this->names as $name) {
            $words = (string) preg_replace('/\s+/u', '\\\\s+', preg_quote(trim($name), '~'));
            $clean = preg_replace(
                "~(?<![\\p{L}\\p{N}]){$words}(?![\\p{L}\\p{N}])~iu",
                addcslashes($this->called, '\\$'),
                $clean,
            ) ?? $clean;
        }

        return $clean;
    }

    /**
     * What somebody else's paper holds, in all its depth, keys too.
     */
    public function inside(mixed $value): mixed
    {
        if (\is_string($value)) {
            return $this->text($value);
        }
        if (!\is_array($value)) {
            return $value;
        }
        $clean = [];
        foreach ($value as $key => $one) {
            $clean[\is_string($key) ? $this->text($key) : $key] = $this->inside($one);
        }

        return $clean;
    }

    /**
     * Lists of students, in all their depth, without this one.
     */
    public function without(mixed $value): mixed
    {
        if (!\is_array($value)) {
            return $value;
        }
        $isList = array_is_list($value);
        $left = [];
        foreach ($value as $key => $one) {
            if ($one !== $this->id && $key !== $this->id) {
                $left[$key] = $this->without($one);
            }
        }

        return $isList ? array_values($left) : $left;
    }
}
