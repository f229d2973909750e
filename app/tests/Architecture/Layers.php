<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/**
 * The rules of the house: arrows point inward, and an area uses only areas before it. PHPStan runs this (phpat);
 * bin/test plants an arrow now and then to see that it is seen.
 */
final class Layers
{
    private const CORE = 'FreshHuddle\Core';
    private const APP = 'FreshHuddle\App';
    private const AREAS = [
        'Account',
        'Roster',
        'Grouping',
        'Lesson',
        'Rooms',
        'Materials',
        'Ready',
        'Live',
        'Debrief',
        'Record',
        'DryRun',
    ];
    /** What every area may use, and what uses none. */
    private const UNDER_ALL = ['Refusal', 'Words', 'Http', 'Database', 'Stream', 'Worker', 'Mail', 'Print', 'Meter'];

    public function testCoreUsesNothingButPhp(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace(self::CORE))
            ->excluding(Selector::inNamespace(self::CORE.'\Tests'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('/^(?!FreshHuddle\\\\Core(\\\\|$))[A-Za-z0-9_]+\\\\/', true))
            ->excluding(Selector::inNamespace('Random'))
            ->because('core is plain PHP: no framework, no database, no network');
    }

    public function testStandinsUseCoreAtMost(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('FreshHuddle\Standin'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('FreshHuddle\App'))
            ->because('an outside service knows nothing of the inside');
    }

    public function testTheApplicationDoesNotKnowTheStandins(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('FreshHuddle\App'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('FreshHuddle\Standin'))
            ->because('outside services are spoken to over HTTP');
    }

    public function testControllersLeaveEventsAndTransactionsToServices(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::classname('/^FreshHuddle\\\\App\\\\.*Controller$/', true))
            ->shouldNotDependOn()
            ->classes(
                Selector::classname('Symfony\Contracts\EventDispatcher\EventDispatcherInterface'),
                Selector::classname(self::APP.'\Database\Transaction'),
            )
            ->because('what happened is said inside the transaction of the change');
    }

    /**
     * @return iterable<string, Rule>
     */
    public function testAreasUseOnlyAreasBeforeThem(): iterable
    {
        foreach ([self::CORE, self::APP] as $layer) {
            foreach (self::AREAS as $i => $area) {
                $after = \array_slice(self::AREAS, $i + 1);
                if ([] !== $after) {
                    yield "{$layer} {$area}" => PHPat::rule()
                        ->classes(Selector::inNamespace($layer.'\\'.$area))
                        ->shouldNotDependOn()
                        ->classes(
                            ...array_map(
                                static fn (string $later) => Selector::inNamespace($layer.'\\'.$later),
                                $after,
                            ),
                        )
                        ->because('the areas stand in the order of the work');
                }
            }
        }
    }

    /**
     * @return iterable<string, Rule>
     */
    public function testWhatLiesUnderAllAreasUsesNone(): iterable
    {
        foreach ([...self::UNDER_ALL, 'Serve'] as $under) {
            yield $under => PHPat::rule()
                ->classes(Selector::inNamespace(self::APP.'\\'.$under))
                ->shouldNotDependOn()
                ->classes(
                    ...array_map(
                        static fn (string $area) => Selector::inNamespace(self::APP.'\\'.$area),
                        self::AREAS,
                    ),
                )
                ->because('every area uses it');
        }
    }
}
