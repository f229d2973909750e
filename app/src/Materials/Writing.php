<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Lesson\Moments;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockKind;
use FreshHuddle\Core\Materials\Merge\Splice;
use FreshHuddle\Core\Materials\SlotAccess;
use Symfony\Component\DependencyInjection\Attribute\Target;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;

/**
 * Students reading and writing in their group's copy. To anybody who is not a member now, a copy is not there.
 */
final readonly class Writing
{
    /** Above so many bytes only what changed goes out. */
    private const LONG = 1_000;

    public function __construct(
        private SlotStore $store,
        private MaterialReader $reader,
        private Stream $stream,
        private Clock $clock,
        #[Target('saves')]
        private RateLimiterFactoryInterface $saves,
    ) {
    }

    /**
     * @throws MaterialsRefused if there is no such copy, or it is not open to this student
     */
    public function read(string $copyId, string $studentId): CopyView
    {
        $this->open($copyId, $studentId);

        return $this->reader->copy($copyId) ?? throw MaterialsRefused::missing();
    }

    /**
     * Saves what a student wrote. Where somebody else wrote meanwhile, both are brought together. A save that is sent
     * again changes nothing.
     *
     * @return AnswerView what the slot holds now
     *
     * @throws MaterialsRefused if this student may not write there
     */
    public function save(string $copyId, string $slot, string $studentId, SaveSlot $save): AnswerView
    {
        [$lessonId, $members, $blocks] = $this->open($copyId, $studentId);
        $block = $blocks[$slot] ?? throw MaterialsRefused::missing();
        $column = BlockKind::Each === $block->kind ? $studentId : null;
        if (!(new SlotAccess($members))->mayWrite($studentId, $block, $column)) {
            throw MaterialsRefused::missing();
        }
        $owner = $column ?? $copyId;
        if (!$this->saves->create($studentId)->consume()->isAccepted()) {
            throw MaterialsRefused::tooMuch('materials.too_much', null, 2);
        }
        [$before, $answer] = $this->store->save($copyId, $slot, $owner, $studentId, $save);
        if (null === $before) {
            return $answer;
        }
        $this->stream->publish([Audience::staff($lessonId), ...array_map(Audience::student(...), $members)], self::message($copyId, $before, $answer));

        return $answer;
    }

    /**
     * @return array<string, mixed> the answer, or where it is long what has changed in it
     */
    private static function message(string $copyId, string $before, AnswerView $answer): array
    {
        if (\strlen($answer->text) <= self::LONG) {
            return ['kind' => 'answer', 'copy' => $copyId, 'answer' => $answer];
        }
        $splice = Splice::between($before, $answer->text);

        return ['kind' => 'change', 'copy' => $copyId, 'slot' => $answer->slot, 'owner' => $answer->owner, 'revision' => $answer->revision, 'author' => $answer->author, 'when' => $answer->at]
            + (\strlen($splice->put) <= self::LONG ? ['at' => $splice->at, 'gone' => $splice->gone, 'put' => $splice->put] : []);
    }

    /**
     * @return array{string, list<string>, array<string, Block>} the lesson, ids of the members, the blocks by id
     *
     * @throws MaterialsRefused if the copy is not open to this student
     */
    private function open(string $copyId, string $studentId): array
    {
        $copy = $this->store->copy($copyId) ?? throw MaterialsRefused::missing();
        $members = $copy['members'];
        if (!Moments::read($copy['moments'])->phase($this->clock->ms())->showsGroups() || !(new SlotAccess($members))->mayRead($studentId)) {
            throw MaterialsRefused::missing();
        }
        $blocks = [];
        foreach ($copy['blocks'] as $block) {
            $blocks[$block->id] = new Block($block->id, $block->kind, $block->text);
        }

        return [$copy['lesson'], $members, $blocks];
    }
}
