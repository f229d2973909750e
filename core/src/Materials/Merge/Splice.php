<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Merge;

/**
 * How one text becomes another in a single cut: after so many signs so many go out and some come in. Signs are Unicode
 * code points.
 */
final readonly class Splice
{
    /**
     * @param int    $at   signs that stay in front, 0 or more
     * @param int    $gone signs that go out, 0 or more
     * @param string $put  what comes in their place
     */
    public function __construct(public int $at, public int $gone, public string $put)
    {
    }

    /**
     * Complexity: O(length).
     */
    public static function between(string $old, string $new): self
    {
        $most = min(\strlen($old), \strlen($new));
        // What both begin with has no difference in it: with itself it gives null bytes.
        $head = strspn(substr($old, 0, $most) ^ substr($new, 0, $most), "\0");
        $head = self::atSign($old, $new, $head);
        $left = $most - $head;
        $tail = strspn(strrev(substr($old, -$left, $left) ^ substr($new, -$left, $left)), "\0");
        $tail = 0 === $left ? 0 : $tail;
        while ($tail > 0 && self::isInside($old, \strlen($old) - $tail)) {
            --$tail;
        }

        return new self(
            mb_strlen(substr($old, 0, $head)),
            mb_strlen(substr($old, $head, \strlen($old) - $head - $tail)),
            substr($new, $head, \strlen($new) - $head - $tail),
        );
    }

    public function apply(string $old): string
    {
        return mb_substr($old, 0, $this->at).$this->put.mb_substr($old, $this->at + $this->gone);
    }

    /**
     * Where a caret of the old text stands in the new one: between the same signs as far as they are still there.
     *
     * @param int $caret signs in front of it
     */
    public function moved(int $caret): int
    {
        return match (true) {
            $caret <= $this->at => $caret,
            $caret >= $this->at + $this->gone => $caret - $this->gone + mb_strlen($this->put),
            default => $this->at + mb_strlen($this->put),
        };
    }

    private static function atSign(string $old, string $new, int $head): int
    {
        while ($head > 0 && (self::isInside($old, $head) || self::isInside($new, $head))) {
            --$head;
        }

        return $head;
    }

    /**
     * @return bool whether a byte goes on with a sign that began before it
     */
    private static function isInside(string $text, int $at): bool
    {
        return $at < \strlen($text) && 0x80 === (\ord($text[$at]) & 0xC0);
    }
}
