<?php

declare(strict_types=1);

namespace FreshHuddle\App;

/**
 * Where an instance keeps its things: the folder named by FH_VAR, `var/run` unless told otherwise. bin/start writes
 * `settings.php` there (addresses, ports, secrets); real environment variables win over it.
 */
final class Settings
{
    public static function folder(): string
    {
        $folder = getenv('FH_VAR');

        return \is_string($folder) && '' !== $folder ? $folder : \dirname(__DIR__, 2).'/var/run';
    }

    /**
     * Puts the settings into the environment, for Symfony's `%env()%`.
     */
    public static function load(): void
    {
        $file = self::folder().'/settings.php';
        $settings = is_file($file) ? require $file : [];
        if (!\is_array($settings)) {
            return;
        }
        foreach ($settings as $key => $value) {
            if (\is_string($key) && \is_string($value) && false === getenv($key)) {
                $_ENV[$key] = $_SERVER[$key] = $value;
            }
        }
    }
}
