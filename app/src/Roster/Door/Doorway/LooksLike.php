<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door\Doorway;

/**
 * Names made to look like another name: signs that look alike in several alphabets, or that nobody can see (Unicode
 * Technical Standard 39). The two joiners are part of how some languages are written.
 */
final readonly class LooksLike
{
    public static function another(string $name): bool
    {
        if (1 === preg_match('/(?![\x{200C}\x{200D}])\p{Cf}|[\p{Co}\x{3164}\x{115F}\x{1160}\x{FFA0}]/u', $name)) {
            return true;
        }
        $checker = new \Spoofchecker();
        $checker->setChecks(
            \Spoofchecker::MIXED_SCRIPT_CONFUSABLE |
                \Spoofchecker::WHOLE_SCRIPT_CONFUSABLE |
                \Spoofchecker::SINGLE_SCRIPT |
                \Spoofchecker::INVISIBLE,
        );
        $checker->setRestrictionLevel(\Spoofchecker::HIGHLY_RESTRICTIVE);

        return $checker->isSuspicious($name);
    }
}
