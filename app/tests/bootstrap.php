<?php

declare(strict_types=1);

use FreshHuddle\App\Settings;
use FreshHuddle\App\Tests\Support\ProcessOfItsOwn;
use FreshHuddle\App\Tests\Support\TestCache;

require dirname(__DIR__, 2).'/vendor/autoload.php';

ProcessOfItsOwn::settle();
// New classes meet at the simulated meeting service, which does what it is told within a test.
putenv('FIRST_ROOM_SOURCE=meetingService');
$_ENV['FIRST_ROOM_SOURCE'] = $_SERVER['FIRST_ROOM_SOURCE'] = 'meetingService';
Settings::load();
TestCache::forgetIfOlderThanTheCode();
