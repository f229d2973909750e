<?php

declare(strict_types=1);

// Read once by the master of php-fpm, so that no request has to find and link the classes of the framework and our own.
// A cache that is not there yet is no reason not to start.
$folder = getenv('FH_VAR');
$preload =
    (is_string($folder) ? $folder : dirname(__DIR__).'/var/run').
    '/cache/app-prod/FreshHuddle_App_KernelProdContainer.preload.php';
if (is_file($preload)) {
    require_once dirname(__DIR__).'/vendor/autoload.php';
    require_once $preload;
}
