<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/**
 * The rules of the house: arrows point inward, and in core an area uses only areas before it. PHPStan runs this (phpat).
 */
final class Layers
{
    private const CORE = 'FreshHuddle\Core';
    private const AREAS = ['Roster', 'Grouping', 'Rooms', 'Materials', 'Ready', 'Live', 'Debrief', 'Record'];

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

    /**
     * @return iterable<string, Rule>
     */
    public function testAreasOfCoreUseOnlyAreasBeforeThem(): iterable
    {
        foreach (self::AREAS as $i => $area) {
            $after = \array_slice(self::AREAS, $i + 1);
            if ([] === $after) {
                continue;
            }
            yield $area => PHPat::rule()
                ->classes(Selector::inNamespace(self::CORE.'\\'.$area))
                ->shouldNotDependOn()
                ->classes(...array_map(static fn (string $later) => Selector::inNamespace(self::CORE.'\\'.$later), $after))
                ->because('the areas stand in the order of the work');
        }
    }
}
