<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Rooms\Exception\UnusableLink;

/**
 * A list of links as it is pasted: one a line, alone or with the name or number of its group before or behind it, with
 * commas, tabs or anything else between (so a column, two columns of a spreadsheet and a written list are all read).
 * Lines that name no group go to the groups without a line, in order; one that cannot be taken leaves its own group
 * without a link, and shifts no other. A line of mere words is a heading or a note.
 */
final readonly class PastedLinks
{
    private const SHOWN = 80;
    private const MOST_LINES = 500;
    /** What looks like an address in a line. */
    private const ADDRESS = '~(?:[a-z][a-z0-9+.-]*:\S|(?:[\p{L}\p{N}-]+\.)+\p{L}{2,}[/:?#])[^\s;"<>]*~iu';
    private const MAIN_NAMES = ['main', 'main session', 'mainsession', 'all', 'everybody', 'class'];

    /**
     * @param array<string, string>         $groups name by group's id, in order
     * @param array<string, Message|string> $taken by normal form: `main` for the link of the main session; why not, for
     *     one that serves somebody else
     *
     * @return list<PastedLink>
     *
     * Complexity: O(lines + groups)
     */
    public static function read(string $text, array $groups, array $taken): array
    {
        $lines = self::lines($text);
        $byName = self::byName($groups);
        $free = $groups;
        $read = $words = [];
        foreach ($lines as $n => $line) {
            if (self::MOST_LINES === \count($read)) {
                $read[$n] = ['', null, new Message('rooms.pasted.too_many', ['most' => self::MOST_LINES])];
                break;
            }
            [$name, $address] = self::split($line);
            $place = '' === $name ? null : $byName[self::key($name)] ?? false;
            if ('' === $name && 1 !== preg_match('~\S[./:]\S~u', $line)) {
                $words[$n] = true;
            }
            try {
                $link = Link::read($address);
                $read[$n] = [
                    $place,
                    $link,
                    false === $place
                        ? new Message('rooms.pasted.no_such_group', ['name' => mb_substr($name, 0, 60)])
                        : null,
                ];
            } catch (UnusableLink $e) {
                $read[$n] = [$place, null, $e->says];
            }
            if (\is_string($place)) {
                unset($free[$place]);
            }
        }
        $free = array_keys($free);
        $plan = [];
        $seen = [];
        foreach ($read as $n => [$place, $link, $fault]) {
            $before = null === $link ? null : $seen['link'][$link->normal] ?? null;
            if (null === $place && !isset($words[$n])) {
                $place = array_shift($free);
                $fault ??= null === $place ? new Message('rooms.pasted.more_than_groups') : null;
            }
            if (null === $fault && null !== $before) {
                $fault = new Message('rooms.pasted.twice', ['line' => $before]);
            }
            $place = \is_string($place) && '' !== $place ? $place : null;
            if (null === $fault && null !== $link && null !== $place) {
                $fault = self::clash($place, $link, $taken, $seen, $n);
                $seen['place'][$place] ??= $n;
                $seen['link'][$link->normal] ??= $n;
            }
            $plan[] = new PastedLink(
                $n,
                mb_strlen($lines[$n]) > self::SHOWN ? mb_substr($lines[$n], 0, self::SHOWN - 1).'…' : $lines[$n],
                $place,
                null === $fault ? $link : null,
                $fault,
            );
        }

        return $plan;
    }

    /**
     * @return array<int, string> what has something in it, by the number of the line, from 1
     */
    private static function lines(string $text): array
    {
        $lines = [];
        $split = preg_split('/\R/u', mb_scrub($text, 'UTF-8'));
        foreach (false === $split ? [] : $split as $i => $line) {
            if ('' !== trim($line)) {
                $lines[$i + 1] = trim($line);
            }
        }

        return $lines;
    }

    /**
     * @param array<string, Message|string>             $taken
     * @param array<'link'|'place', array<string, int>> $seen
     */
    private static function clash(string $place, Link $link, array $taken, array $seen, int $line): ?Message
    {
        if (isset($seen['place'][$place])) {
            return new Message('rooms.pasted.group_twice', ['line' => $seen['place'][$place]]);
        }
        $by = $taken[$link->normal] ?? null;
        if (null === $by || $by === $place) {
            return null;
        }

        return $by instanceof Message ? $by : new Message('rooms.link.of_main');
    }

    /**
     * @return array{string, string} name, '' if there is none; and what is to be the link
     */
    private static function split(string $line): array
    {
        if (1 !== preg_match(self::ADDRESS, $line, $found, \PREG_OFFSET_CAPTURE)) {
            return ['', $line];
        }
        [$address, $at] = $found[0];
        $name = substr($line, 0, $at).' '.substr($line, $at + \strlen($address));

        return [trim((string) preg_replace('/^[\s,;:"\'|=()<>–—-]+|[\s,;:"\'|=()<>–—-]+$/u', '', $name)), $address];
    }

    /**
     * @param array<string, string> $groups
     *
     * @return array<array-key, string> place by every name it can be called by
     */
    private static function byName(array $groups): array
    {
        $byName = array_fill_keys(array_map(self::key(...), self::MAIN_NAMES), MainSession::PLACE);
        $n = 0;
        foreach ($groups as $id => $name) {
            ++$n;
            foreach ([(string) $n, "group {$n}", "table {$n}", "room {$n}"] as $number) {
                $byName[$number] ??= $id;
            }
        }
        foreach (array_reverse($groups, true) as $id => $name) {
            $byName[self::key($name)] = $id; // a name goes before a number
        }

        return $byName;
    }

    private static function key(string $name): string
    {
        return mb_convert_case(trim((string) preg_replace('/[\s.:)]+/u', ' ', $name)), \MB_CASE_FOLD);
    }
}
