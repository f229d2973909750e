<?php

declare(strict_types=1);

use FreshHuddle\App\Kernel;
use FreshHuddle\App\Settings;
use Symfony\Component\HttpFoundation\Request;

require dirname(__DIR__, 2).'/vendor/autoload.php';

Settings::load();
$kernel = new Kernel('prod', false);
$request = Request::createFromGlobals();
$response = $kernel->handle($request);
$response->send();
$kernel->terminate($request, $response);
