<?php

declare(strict_types=1);

/*
 * Does all the work that is due, in a process of its own that a test may have killed: php worker.php STATEMENT LOG,
 * where STATEMENT is before which one it is killed (from 0; “-” for never) and LOG a file that is told every statement
 * (“-” for none).
 */

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Kernel;
use FreshHuddle\App\Settings;
use FreshHuddle\App\Tests\Support\Death;
use FreshHuddle\App\Tests\Support\Outside;
use FreshHuddle\App\Worker\WorkCommand;
use Symfony\Component\DependencyInjection\ContainerInterface;
use Symfony\Component\Mailer\Mailer;
use Symfony\Component\Mailer\Transport;

require dirname(__DIR__, 3).'/vendor/autoload.php';

Settings::load();
$kernel = new Kernel('test', false);
$kernel->boot();
$container = $kernel->getContainer()->get('test.service_container');
assert($container instanceof ContainerInterface);
$container->set('mailer.mailer', new Mailer(Transport::fromDsn(Outside::setting('MAILER_DSN'))));
$worker = $container->get(WorkCommand::class);
assert($worker instanceof WorkCommand);
$arguments = array_map(static fn (mixed $one): string => is_string($one) ? $one : '-', (array) $_SERVER['argv']) + [
    '',
    '-',
    '-',
];
Death::ofTheProcess('-' === $arguments[1] ? null : (int) $arguments[1], '-' === $arguments[2] ? null : $arguments[2]);
$db = $container->get('doctrine.dbal.default_connection');
assert($db instanceof Connection);
do {
    while ($worker->workOnce()) {
    }
    usleep(20_000);
    // What is tried again in a moment is waited for.
} while (
    false !==
    $db->fetchOne('SELECT 1 FROM due_task WHERE due_at < ? AND claimed_until IS NULL', [
        (int) (microtime(true) * 1_000) + 10_000,
    ])
);
