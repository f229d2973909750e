<?php

declare(strict_types=1);

use FreshHuddle\Standin\Kernel;
use Symfony\Component\HttpFoundation\Request;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$settings = require Kernel::folder().'/settings.php';
foreach (is_array($settings) ? $settings : [] as $key => $value) {
    $_ENV[$key] = $_SERVER[$key] = $value;
}
$kernel = new Kernel('prod', false);
$request = Request::createFromGlobals();
$response = $kernel->handle($request);
$response->send();
$kernel->terminate($request, $response);
