<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials;

use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Lesson\Round;
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
     * @throws Problem 409 if it was changed elsewhere meanwhile; 422 if it cannot be used
     */
    public function saveOriginal(Round $round, SaveOriginal $save): OriginalView
    {
        try {
            $original = new Original(trim($save->title), array_map(static fn (BlockView $block): Block => new Block($block->id, $block->kind, $block->text), $save->blocks));
        } catch (UnusableOriginal $e) {
            throw new Problem(422, $e->getMessage(), 'blocks');
        }
        if (!$this->store->save($round->id, $original, $save->basedOn)) {
            throw new Problem(409, 'The original was changed in another window a moment ago. Copy what you wrote, then load it again.');
        }
        $this->stream->publish([Audience::staff($round->lesson->id)], ['kind' => 'lesson']);

        return $this->reader->original($round->id) ?? throw Problem::notFound();
    }

    /**
     * Makes the copies that are missing and brings the others up to date where nobody has written yet.
     *
     * @throws Problem 422 while there is no original or no group
     */
    public function makeCopies(Round $round): CopiesMade
    {
        $original = $this->reader->original($round->id) ?? throw new Problem(422, 'There is no original to copy yet.');
        if ([] === array_filter($original->blocks, static fn (BlockView $block): bool => $block->kind->isSlot())) {
            throw new Problem(422, 'The original has no place to write in. Add a slot first.', 'blocks');
        }
        $floor = $this->floors->now($round->grouping->id);
        if ([] === $floor->groups) {
            throw new Problem(422, 'There are no groups yet, so there is nobody to make copies for.');
        }
        $names = [];
        foreach ($floor->groups as $i => $group) {
            $names[$group->id] = CopyName::for($round->lesson->class->name, $i + 1, \count($floor->groups), $group->name, $original->title);
        }
        [$made, $brought, $kept] = $this->store->makeCopies($round->id, $original, $names);
        $this->stream->publish([Audience::staff($round->lesson->id)], ['kind' => 'lesson']);
        $this->stream->publish([Audience::everybody($round->lesson->id)], ['kind' => 'refresh']);

        return new CopiesMade($made, $brought, $kept);
    }
}
