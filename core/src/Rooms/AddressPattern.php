<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms;

use FreshHuddle\Core\Rooms\Exception\UnknownPlaceholder;
use FreshHuddle\Core\Rooms\Exception\UnusableLink;
use FreshHuddle\Core\Rooms\Exception\UnusablePattern;

/**
 * An address with names in it, as `https://rooms.example/{teacher}-{class}-{n}-{tail}`; the tail is random, different
 * for each room and stays the same for it.
 */
final readonly class AddressPattern
{
    public const TAIL = 'tail';
    /** Signs of a tail, of 32 each: 50 bits. */
    private const TAIL_LENGTH = 10;
    /** Without those that are mistaken for one another when read aloud (Crockford, “Base 32”, 2002). */
    private const TAIL_SIGNS = '0123456789abcdefghjkmnpqrstvwxyz';
    private const LONGEST_PART = 40;

    private NamePattern $pattern;

    /**
     * @throws UnknownPlaceholder if something else stands in braces
     * @throws UnusableLink       if no address can come of it
     * @throws UnusablePattern    if the addresses of two groups would be the same
     */
    public function __construct(public string $text)
    {
        $this->pattern = new NamePattern($text, [...NamePattern::PLACEHOLDERS, self::TAIL], Link::LONGEST);
        if (!str_contains($text, '{n}') && !str_contains($text, '{group}') && !$this->hasTail()) {
            throw UnusablePattern::allTheSame();
        }
        if (1 === preg_match('~^(?:[^{]*://)?[^/{]*\{~', $text)) {
            throw UnusablePattern::hostIsNamed();
        }
        $this->link(
            ['class' => '9g', 'lesson' => 'flood', 'group' => 'quay', 'n' => 1, 'teacher' => 'brandt'],
            self::tail('example'),
        );
    }

    /**
     * @param array<string, string|int> $values a value a placeholder; put in as plain letters, figures and hyphens
     *
     * @throws UnusableLink if it becomes too long
     */
    public function link(array $values, string $tail): Link
    {
        return Link::read($this->pattern->name(array_map(self::part(...), $values) + [self::TAIL => $tail]));
    }

    /** @return bool whether somebody who knows the address of one room can work out another's */
    public function isGuessable(): bool
    {
        return !$this->hasTail();
    }

    /**
     * The same with a tail at its end.
     */
    public function withTail(): self
    {
        if ($this->hasTail()) {
            return $this;
        }
        $end = strcspn($this->text, '?#');

        return new self(
            rtrim(substr($this->text, 0, $end), '/').'-{'.self::TAIL.'}'.substr($this->text, $end),
        );
    }

    /**
     * @param string $secret something nobody can guess; the same gives the same tail
     */
    public static function tail(#[\SensitiveParameter] string $secret): string
    {
        $tail = '';
        foreach (str_split(substr(hash('sha256', $secret, true), 0, self::TAIL_LENGTH)) as $byte) {
            $tail .= self::TAIL_SIGNS[\ord($byte) % 32];
        }

        return $tail;
    }

    private function hasTail(): bool
    {
        return str_contains($this->text, '{'.self::TAIL.'}');
    }

    private static function part(string|int $value): string
    {
        $plain = transliterator_transliterate('Any-Latin; Latin-ASCII; Lower()', (string) $value);
        $plain = trim((string) preg_replace('/[^a-z0-9]+/', '-', \is_string($plain) ? $plain : ''), '-');

        return '' === $plain ? 'x' : rtrim(substr($plain, 0, self::LONGEST_PART), '-');
    }
}
