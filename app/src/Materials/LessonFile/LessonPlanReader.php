<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\LessonFile;

use FreshHuddle\App\Http\File\FileShape;
use FreshHuddle\App\Http\File\OpenFormat;
use FreshHuddle\App\Http\File\UnusableFile;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\Core\Lesson\SegmentKind;
use FreshHuddle\Core\Materials\HandOutWay;

/**
 * Reads the plan of a lesson from its file. A file from elsewhere is not trusted: it is taken whole or not at all.
 */
final readonly class LessonPlanReader
{
    public const FORMAT = 'fresh-huddle/lesson';
    private const DEPTH = 40;

    public function __construct(private FileShape $files)
    {
    }

    /**
     * @param string $json any bytes
     *
     * @throws MaterialsRefused with the place in the file that is at fault
     */
    public function read(string $json): LessonPlan
    {
        $data = OpenFormat::read(self::FORMAT, $json, self::DEPTH)
            ?? throw MaterialsRefused::unusable('materials.lesson_file_of_another_kind', 'package');
        // Whoever wrote the file knows nothing of versions here.
        if (\is_array($data['originals'] ?? null)) {
            $data['originals'] = array_map(
                static fn (mixed $one): mixed => \is_array($one) ? ['basedOn' => 0, 'base' => null] + $one : $one,
                $data['originals'],
            );
        }
        try {
            $plan = $this->files->read(LessonPlan::class, $data);
        } catch (UnusableFile $e) {
            throw self::refused($e->where);
        }
        self::check($plan);

        return $plan;
    }

    /**
     * What refers to something else in the file has to find it.
     */
    private static function check(LessonPlan $plan): void
    {
        $rounds = 0;
        foreach ($plan->segments as $i => $segment) {
            $round = $segment->round;
            if ((SegmentKind::Round === $segment->kind) !== (null !== $round)) {
                throw self::refused("segments[{$i}].round");
            }
            if (null === $round) {
                continue;
            }
            ++$rounds;
            if (!isset($plan->groupings[$round->grouping])) {
                throw self::refused("segments[{$i}].round.grouping");
            }
            self::checkHandOut($plan, $round, "segments[{$i}].round.handOut");
        }
        if (0 === $rounds) {
            throw self::refused('segments');
        }
        foreach ($plan->originals as $i => $original) {
            if (0 !== $original->basedOn || null !== $original->base) {
                throw self::refused("originals[{$i}]");
            }
        }
    }

    private static function checkHandOut(LessonPlan $plan, RoundPart $round, string $path): void
    {
        $seen = [];
        foreach ($round->handOut as $n => $row) {
            if (!isset($plan->originals[$row->original]) || isset($seen[$row->original])) {
                throw self::refused("{$path}[{$n}].original");
            }
            $seen[$row->original] = true;
            if (
                null !== $row->opensWith
                && (
                    SegmentKind::Alone !== ($plan->segments[$row->opensWith] ?? null)?->kind
                    || HandOutWay::Each !== $row->way
                    || [] !== $row->cells
                )
            ) {
                throw self::refused("{$path}[{$n}].opensWith");
            }
            $groups = [];
            foreach ($row->cells as $c => $cell) {
                if (isset($groups[$cell->group])) {
                    throw self::refused("{$path}[{$n}].cells[{$c}].group");
                }
                $groups[$cell->group] = true;
            }
        }
    }

    private static function refused(string $where): MaterialsRefused
    {
        return MaterialsRefused::unusable('materials.lesson_file_unreadable', 'package', ['where' => $where]);
    }
}
