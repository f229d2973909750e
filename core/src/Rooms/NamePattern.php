<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms;

use FreshHuddle\Core\Rooms\Exception\UnknownPlaceholder;
use FreshHuddle\Core\SingleLine;

/**
 * The pattern room names follow: text with `{class}`, `{lesson}`, `{group}`, `{n}` and `{teacher}` in it.
 */
final readonly class NamePattern
{
    public const PLACEHOLDERS = ['class', 'lesson', 'group', 'n', 'teacher'];
    private const MAX_NAME = 120;

    /**
     * @param list<string> $placeholders what may stand in braces
     * @param int          $longest      signs of a name
     *
     * @throws UnknownPlaceholder if something else stands in braces
     */
    public function __construct(
        public string $pattern,
        array $placeholders = self::PLACEHOLDERS,
        private int $longest = self::MAX_NAME,
    ) {
        preg_match_all('/\{([^{}]*)\}/u', $pattern, $found);
        foreach ($found[1] as $placeholder) {
            if (!\in_array($placeholder, $placeholders, true)) {
                throw UnknownPlaceholder::named($placeholder, $placeholders);
            }
        }
    }

    /**
     * @param array<string, string|int> $values a value a placeholder; one that is missing becomes nothing
     *
     * @return string at most 120 signs, or as many as were said
     */
    public function name(array $values): string
    {
        $name = (string) preg_replace_callback(
            '/\{([^{}]*)\}/u',
            static fn (array $m): string => (string) ($values[$m[1]] ?? ''),
            $this->pattern,
        );
        $name = SingleLine::fromText($name);

        return mb_strlen($name) > $this->longest ? rtrim(mb_substr($name, 0, $this->longest - 1)).'…' : $name;
    }
}
