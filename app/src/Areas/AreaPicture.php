<?php

declare(strict_types=1);

namespace FreshHuddle\App\Areas;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Finder\Finder;

/**
 * Draws the areas and which uses which, from the `use` statements and imports of the code.
 */
final readonly class AreaPicture
{
    /** Where the areas of a layer are, which files are its code, and how a file names another area. */
    private const LAYERS = [
        'core' => ['core/src', '*.php', '~^use FreshHuddle\\\\Core\\\\(\w+)\\\\~m'],
        'app' => ['app/src', '*.php', '~^use FreshHuddle\\\\App\\\\(\w+)\\\\~m'],
        'web' => ['web/src/areas', '/\.tsx?$/', '~from \'(?:\.\./)+(?:areas/)?(\w+)/~'],
    ];

    public function __construct(#[Autowire('%kernel.project_dir%/..')] private string $root)
    {
    }

    /**
     * @return string the whole page, as it lies in docs/architecture/areas.md. O(files of all layers)
     */
    public function markdown(): string
    {
        $uses = array_map(fn (array $layer): array => $this->countUses(...$layer), self::LAYERS);
        $lines = [
            '# Areas',
            '',
            'Drawn from the code by `bin/console huddle:areas`. An arrow: files of one area use the other, in `core`, `app` or `web`.',
            '',
            '```mermaid',
            'flowchart RL',
        ];
        $rows = [];
        foreach (AreaList::names() as $from) {
            foreach (AreaList::names() as $to) {
                $counts = array_map(static fn (array $of): int => $of[$from][$to] ?? 0, $uses);
                if ($from !== $to && array_sum($counts) > 0) {
                    $lines[] = "    {$from} --> {$to}";
                    $rows[] = "| {$from} | {$to} | ".implode(' | ', $counts).' |';
                }
            }
        }

        return implode("\n", [
            ...$lines,
            '```',
            '',
            'The number of files in an area that use another area:',
            '',
            '| Area | uses | core | app | web |',
            '|---|---|---|---|---|',
            ...$rows,
            '',
        ]);
    }

    /**
     * @return array<string, array<string, int>> how many files of an area use another, by both
     */
    private function countUses(string $folder, string $files, string $pattern): array
    {
        $uses = [];
        foreach (
            Finder::create()
                ->files()
                ->in("{$this->root}/{$folder}")
                ->name($files)
                ->notName('*.test.*')
                ->sortByName() as $file
        ) {
            $from = strtolower(explode('/', $file->getRelativePath())[0]);
            preg_match_all($pattern, $file->getContents(), $found);
            foreach (array_intersect(array_unique(array_map(strtolower(...), $found[1])), AreaList::names()) as $to) {
                $uses[$from][$to] = ($uses[$from][$to] ?? 0) + 1;
            }
        }

        return $uses;
    }
}
