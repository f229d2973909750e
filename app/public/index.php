<?php

declare(strict_types=1);

// The front controller of processes that begin with nothing (php-fpm). Those that stay are started by huddle:serve.

use FreshHuddle\App\Kernel;
use FreshHuddle\App\Settings;

$_SERVER['APP_RUNTIME_OPTIONS'] = ['disable_dotenv' => true, 'env' => 'prod', 'debug' => false, 'error_handler' => false];

require_once dirname(__DIR__, 2).'/vendor/autoload_runtime.php';

return static function (): Kernel {
    Settings::load();

    return new Kernel('prod', false);
};
