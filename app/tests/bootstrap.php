<?php

declare(strict_types=1);

use FreshHuddle\App\Settings;
use FreshHuddle\App\Tests\Support\ProcessOfItsOwn;
use FreshHuddle\App\Tests\Support\TestCache;

require dirname(__DIR__, 2).'/vendor/autoload.php';

ProcessOfItsOwn::settle();
Settings::load();
TestCache::forgetIfOlderThanTheCode();
