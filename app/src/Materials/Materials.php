<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials;

use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Round;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\CopyName;
use FreshHuddle\Core\Materials\Exception\UnusableOriginal;
use FreshHuddle\Core\Materials\Original;

/**
 * The original of a round and its copies, one a group.
 */
final readonly class Materials
{
    public function __construct(private MaterialStore $store, private MaterialReader $reader, private FloorStore $floors, private Stream $stream)
    {
    }

    /**
     * @throws MaterialsRefused if it was changed elsewhere meanwhile, or if it cannot be used
     */
    public function saveOriginal(Round $round, SaveOriginal $save): OriginalView
    {
        try {
            $original = self::original(trim($save->title), $save->blocks);
        } catch (UnusableOriginal $e) {
            throw MaterialsRefused::because($e->says, 'blocks');
        }
        if (!$this->store->save($round->id, $original, $save->basedOn)) {
            throw MaterialsRefused::outdated('materials.original.changed');
        }
        $this->stream->publish([Audience::staff($round->lesson->id)], ['kind' => 'lesson']);

        return $this->reader->original($round->id) ?? throw MaterialsRefused::missing();
    }

    /**
     * Makes the copies that are missing and brings the others up to date where nobody has written yet.
     *
     * @throws MaterialsRefused while there is no original or no group
     */
    public function makeCopies(Round $round): CopiesMade
    {
        $original = $this->reader->original($round->id) ?? throw MaterialsRefused::unusable('materials.no_original');
        try {
            $blocks = self::original($original->title, $original->blocks)->forCopies();
        } catch (UnusableOriginal $e) {
            throw MaterialsRefused::because($e->says, 'blocks');
        }
        $floor = $this->floors->now($round->grouping->id);
        if ([] === $floor->groups) {
            throw MaterialsRefused::unusable('materials.no_groups');
        }
        $names = [];
        foreach ($floor->groups as $i => $group) {
            $names[$group->id] = CopyName::for($round->lesson->class->name, $i + 1, \count($floor->groups), $group->name, $original->title);
        }
        [$made, $brought, $kept] = $this->store->makeCopies($round->id, new OriginalView($original->id, $original->title, $original->version, array_map(BlockView::of(...), $blocks)), $names);
        $this->stream->publish([Audience::staff($round->lesson->id)], ['kind' => 'lesson']);
        $this->stream->publish([Audience::everybody($round->lesson->id)], ['kind' => 'refresh']);

        return new CopiesMade($made, $brought, $kept);
    }

    /**
     * @param list<BlockView> $blocks
     *
     * @throws UnusableOriginal
     */
    private static function original(string $title, array $blocks): Original
    {
        return new Original($title, array_map(static fn (BlockView $block): Block => new Block($block->id, $block->kind, $block->text), $blocks));
    }
}
