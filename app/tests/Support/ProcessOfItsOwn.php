<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Support;

/**
 * Where tests run in several processes side by side, each has an instance of its own: its database, its stand-ins, its
 * folders. FH_TEST_INSTANCES names them in order, as `folder|address of the test database`, with spaces between.
 */
final class ProcessOfItsOwn
{
    public static function settle(): void
    {
        $token = getenv('TEST_TOKEN');
        $instances = getenv('FH_TEST_INSTANCES');
        if (!\is_string($token) || !\is_string($instances)) {
            return;
        }
        $mine =
            explode(' ', $instances)[(int) $token - 1] ??
            throw new \RuntimeException("There is no instance for process {$token} of the tests.");
        [$folder, $database] = explode('|', $mine, 2);
        $temporary = $folder.'/tmp-of-tests';
        if (!is_dir($temporary)) {
            mkdir($temporary, 0o777, true);
        }
        $settings = require $folder.'/settings.php';
        \assert(\is_array($settings));
        $own = [
            'FH_VAR' => $folder,
            'DATABASE_URL' => $database,
            'TMPDIR' => $temporary,
            'FILES' => "disk:{$folder}/files-of-tests",
        ];
        // What the first process has set for itself is in the environment of each.
        foreach ([...$settings, ...$own] as $name => $value) {
            \assert(\is_string($value));
            putenv("{$name}={$value}");
            $_ENV[$name] = $_SERVER[$name] = $value;
        }
    }
}
