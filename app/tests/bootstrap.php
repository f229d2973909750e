<?php

declare(strict_types=1);

use FreshHuddle\App\Settings;

require dirname(__DIR__, 2).'/vendor/autoload.php';

Settings::load();
