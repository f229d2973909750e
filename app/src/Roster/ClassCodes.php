<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use Doctrine\DBAL\Connection;
use Random\Randomizer;

/**
 * Makes the code students type to find their class: six letters that are not mistaken for each other.
 */
final readonly class ClassCodes
{
    private const LETTERS = 'ABCDEFGHJKLMNPQRTUVWXY';

    public function __construct(private Connection $db)
    {
    }

    public function fresh(): string
    {
        $random = new Randomizer();
        do {
            $code = '';
            for ($i = 0; $i < 6; ++$i) {
                $code .= self::LETTERS[$random->getInt(0, \strlen(self::LETTERS) - 1)];
            }
        } while (false !== $this->db->fetchOne('SELECT 1 FROM school_class WHERE code = ?', [$code]));

        return $code;
    }

    /**
     * As somebody may have typed it: small letters, spaces, dashes.
     */
    public static function tidy(string $typed): string
    {
        return substr((string) preg_replace('/[^A-Z]/', '', strtoupper($typed)), 0, 8);
    }
}
