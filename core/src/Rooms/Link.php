<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Rooms;

use FreshHuddle\Core\Rooms\Exception\UnusableLink;

/**
 * The link of a room that lies elsewhere. Two that lead to the same place have the same normal form, however they are
 * written (RFC 3986, section 6; scheme, fragment and tracking parameters are no part of it). Nothing ever fetches one.
 */
final readonly class Link
{
    /** Signs. */
    public const LONGEST = 500;

    private const THIS_MACHINE = ['localhost', '127.0.0.1', '[::1]'];
    /** Top names that no link from outside can have (RFC 2606, 6761, 6762, 8375 and what is used like them). */
    private const INSIDE = [
        'local',
        'localhost',
        'internal',
        'intranet',
        'private',
        'corp',
        'home',
        'lan',
        'arpa',
        'onion',
        'invalid',
    ];
    /** Parameters that say who sent a link on, and nothing of where it leads. */
    private const TRACKING = '/^(utm_.*|.*clid|ref|referrer)$/i';
    private const PORTS = ['https' => 443, 'http' => 80];

    /**
     * @param string $address as it is to be opened
     * @param string $host    in the letters people read
     * @param string $normal  what two links to the same room have in common
     */
    private function __construct(public string $address, public string $host, public string $normal)
    {
    }

    /**
     * @param string $text as it was typed or pasted; brackets, quotes and full stops round it are no part of it
     *
     * @throws UnusableLink
     */
    public static function read(string $text): self
    {
        $text =
            preg_replace('/^[\s<>"\'“”„«»(\[]+|[\s<>"\'“”«»)\].,;]+$/u', '', $text) ??
            throw UnusableLink::unreadable();
        if (mb_strlen($text) > self::LONGEST) {
            throw UnusableLink::tooLong(self::LONGEST);
        }
        if (
            1 ===
                preg_match(
                    '/[\s\x00-\x1f\x7f\\\\<>"{}|^`]|[\x{200b}-\x{200f}\x{202a}-\x{202e}\x{2060}-\x{2069}\x{feff}]/u',
                    $text,
                )
            || '' === $text
        ) {
            throw UnusableLink::unreadable();
        }
        if (1 !== preg_match('~^([a-z][a-z0-9+.-]*):~i', $text, $scheme)) {
            $text = 'https://'.$text; // as people say an address
            $scheme = [1 => 'https'];
        } elseif (1 === preg_match('~^[^/?#]*\.[^/?#]*:\d+([/?#]|$)~', $text)) {
            $text = 'https://'.$text; // a name and a port, not a scheme
            $scheme = [1 => 'https'];
        }
        $scheme = strtolower($scheme[1]);
        if (!isset(self::PORTS[$scheme])) {
            throw UnusableLink::scheme($scheme);
        }
        if (1 !== preg_match('~^[a-z]+://([^/?#]*)([^?#]*)(?:\?([^#]*))?(?:#(.*))?$~isu', $text, $parts)) {
            throw UnusableLink::unreadable();
        }
        if (str_contains($parts[1], '@')) {
            throw UnusableLink::credentials();
        }
        if (1 !== preg_match('/^(\[[0-9a-f:.]+\]|[^:\[\]]+)(?::(\d{0,5}))?$/iu', $parts[1], $where)) {
            throw UnusableLink::unreadable();
        }
        [$ascii, $read] = self::host($where[1], $scheme);
        $port = (int) ($where[2] ?? 0);
        if ($port > 65_535) {
            throw UnusableLink::unreadable();
        }
        $authority = $ascii.(0 === $port || self::PORTS[$scheme] === $port ? '' : ':'.$port);
        $path = self::path($parts[2]);
        $query = $parts[3] ?? '';
        $fragment = $parts[4] ?? '';
        $address =
            $scheme.
            '://'.
            $authority.
            self::escaped('' === $parts[2] ? '/' : $parts[2]).
            ('' === $query ? '' : '?'.self::escaped($query)).
            ('' === $fragment ? '' : '#'.self::escaped($fragment));

        return new self($address, $read, $authority.$path.self::query($query));
    }

    /**
     * @return bool whether it is taken for the other by somebody who reads quickly, though its host is another (Unicode
     *              Technical Standard 39, confusable strings)
     */
    public function looksLike(self $other): bool
    {
        if ($this->host === $other->host) {
            return false;
        }
        $checker = new \Spoofchecker();

        return $checker->areConfusable($this->host, $other->host)
            || self::plain($this->host) === self::plain($other->host);
    }

    /**
     * @return array{string, string} as programs write it, and as people do
     */
    private static function host(string $text, string $scheme): array
    {
        $host = strtolower(rawurldecode($text));
        if (\in_array($host, self::THIS_MACHINE, true)) {
            return [$host, $host];
        }
        $host = rtrim($host, '.');
        $ascii = idn_to_ascii(
            $host,
            \IDNA_NONTRANSITIONAL_TO_ASCII | \IDNA_USE_STD3_RULES | \IDNA_CHECK_BIDI | \IDNA_CHECK_CONTEXTJ,
            \INTL_IDNA_VARIANT_UTS46,
        );
        $last = substr((string) strrchr('.'.(\is_string($ascii) ? $ascii : $host), '.'), 1);
        if (str_starts_with($host, '[') || 1 === preg_match('/^(\d+|0x[0-9a-f]*)$/', $last)) {
            throw UnusableLink::number($text);
        }
        if (!\is_string($ascii) || '' === $ascii) {
            throw UnusableLink::unreadable();
        }
        if (!str_contains($ascii, '.') || \in_array($last, self::INSIDE, true)) {
            throw UnusableLink::inside($text);
        }
        if ('https' !== $scheme) {
            throw UnusableLink::scheme($scheme);
        }
        $read = idn_to_utf8($ascii, \IDNA_NONTRANSITIONAL_TO_UNICODE, \INTL_IDNA_VARIANT_UTS46);
        $read = \is_string($read) ? $read : $ascii;
        foreach (explode('.', $read) as $label) {
            if (self::isMixed($label)) {
                throw UnusableLink::looksLikeAnother($read);
            }
        }

        return [$ascii, $read];
    }

    /** Letters of two alphabets in one name, or a name that could be read as one in Latin letters. */
    private static function isMixed(string $label): bool
    {
        if (1 !== preg_match('/[^\x00-\x7f]/', $label)) {
            return false;
        }
        $checker = new \Spoofchecker();
        $checker->setChecks(\Spoofchecker::SINGLE_SCRIPT | \Spoofchecker::INVISIBLE);
        $checker->setRestrictionLevel(\Spoofchecker::HIGHLY_RESTRICTIVE);

        return $checker->isSuspicious($label)
            || 1 === preg_match('/^[асеорхуіјѕһӏԁԛԝѵьοαεικρυχνζոսց\-0-9]+$/u', $label);
    }

    private static function plain(string $host): string
    {
        return strtr(str_replace(['rn', 'vv'], ['m', 'w'], $host), ['0' => 'o', '1' => 'l', 'i' => 'l', '-' => '']);
    }

    /** Without dots and a slash at the end; signs that need no escaping unescaped (RFC 3986, 6.2.2). */
    private static function path(string $path): string
    {
        $kept = [];
        foreach (explode('/', self::unescaped($path)) as $part) {
            match ($part) {
                '', '.' => null,
                '..' => array_pop($kept),
                default => ($kept[] = $part),
            };
        }

        return [] === $kept ? '' : '/'.implode('/', $kept);
    }

    private static function query(string $query): string
    {
        $kept = [];
        foreach (explode('&', self::unescaped($query)) as $part) {
            if ('' !== $part && 1 !== preg_match(self::TRACKING, explode('=', $part)[0])) {
                $kept[] = $part;
            }
        }
        sort($kept, \SORT_STRING);

        return [] === $kept ? '' : '?'.implode('&', $kept);
    }

    private static function unescaped(string $text): string
    {
        $text = (string) preg_replace_callback(
            '/%([0-9a-f]{2})/i',
            static function (array $m): string {
                $sign = \chr((int) hexdec($m[1]));

                return 1 === preg_match('/[A-Za-z0-9._~-]/', $sign) ? $sign : '%'.strtoupper($m[1]);
            },
            $text,
        );

        return self::escaped($text);
    }

    /** What is not in ASCII is written in percent, as browsers do before they ask. */
    private static function escaped(string $text): string
    {
        return (string) preg_replace_callback(
            '/[^\x21-\x7e]/',
            static fn (array $m): string => '%'.strtoupper(bin2hex($m[0])),
            $text,
        );
    }
}
