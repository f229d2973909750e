<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Materials\Cupboard\BlockView;
use FreshHuddle\App\Materials\Cupboard\Pages;
use FreshHuddle\App\Materials\Cupboard\PageView;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\HandOut\Copy\WorkCopy;
use FreshHuddle\App\Materials\Margin\MarginNoteView;
use FreshHuddle\App\Materials\Margin\MarginReader;
use FreshHuddle\App\Materials\Media\MediaReader;
use FreshHuddle\App\Materials\Writing\Message\AnswerPublisher;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Materials\BlockKind;
use FreshHuddle\Core\Materials\CopyOpen;
use FreshHuddle\Core\Materials\CopyTime;
use FreshHuddle\Core\Materials\Exception\UnusableValue;
use FreshHuddle\Core\Materials\HandOutWay;
use FreshHuddle\Core\Materials\Member;
use FreshHuddle\Core\Materials\Merge\Splice;
use FreshHuddle\Core\Materials\Slot\OwnPictures;
use FreshHuddle\Core\Materials\SlotAccess;
use Symfony\Component\DependencyInjection\Attribute\Target;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;

/**
 * Students reading and writing in their group's copy. To anybody who is not a member now, a copy is not there.
 */
final readonly class CopyWriter
{
    public function __construct(
        private SlotStore $store,
        private WorkReader $reader,
        private Pages $pages,
        private AnswerPublisher $publisher,
        private History $history,
        private EntityManagerInterface $em,
        private MediaReader $media,
        private Clock $clock,
        #[Target('saves')]
        private RateLimiterFactoryInterface $saves,
        #[Target('pictures')]
        private RateLimiterFactoryInterface $pictures,
    ) {
    }

    /**
     * @throws MaterialsRefused if there is no such copy, or it is not open to this student
     */
    public function read(string $copyId, string $studentId): CopyView
    {
        ['members' => $members, 'time' => $time] = $this->open($copyId, $studentId);
        $access = new SlotAccess($members);
        $copy = $this->reader->copy($copyId) ?? throw MaterialsRefused::missing();
        $blocks = $pages = [];
        foreach ($copy->pages as $page) {
            // A place that is for no seat of this group is not there.
            $present = array_values(
                array_filter(
                    $page->blocks,
                    static fn (BlockView $block): bool => null === $block->kind->slot()
                        || $access->places($block->block()) > 0,
                ),
            );
            foreach ($present as $block) {
                $blocks[$block->id] = $block->block();
            }
            $pages[] = new PageView($page->id, $page->title, $present);
        }
        $answers = array_values(
            array_filter(
                $copy->answers,
                static fn (AnswerView $answer): bool => isset($blocks[$answer->slot])
                    && $access->maySee($studentId, $blocks[$answer->slot], $answer->owner),
            ),
        );
        $notes = array_values(
            array_filter(
                $copy->notes,
                static fn (MarginNoteView $note): bool => isset($blocks[$note->slot])
                    && MarginReader::maySee($members, $studentId, $blocks[$note->slot], $note->owner),
            ),
        );

        return new CopyView(
            $copy->id,
            $copy->original,
            $copy->groupId,
            $copy->studentId,
            $copy->way,
            '',
            $copy->title,
            $pages,
            $copy->html,
            $answers,
            $notes,
            SlotFillers::inPages($pages, $access),
            CopyOpen::Read === $time->stateAt($this->clock->ms()),
            $time->alone ? $time->closesAt : null,
        );
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
        $copy = $this->open($copyId, $studentId);
        $block = $this->pages->block($copy['pages'], $slot) ?? throw MaterialsRefused::missing();
        $kind = $block->slot() ?? throw MaterialsRefused::missing();
        $alone = $kind->isAlone($block->settings);
        $access = new SlotAccess($copy['members'], $copy['way']);
        if (!$access->mayWrite($studentId, $block, $alone ? $studentId : null)) {
            throw MaterialsRefused::missing();
        }
        if (!$copy['time']->takes($this->clock->ms())) {
            throw MaterialsRefused::unusable('materials.locked');
        }
        try {
            $save = new SaveSlot(
                $save->save,
                $kind->read($save->base, $block),
                $kind->read($save->text, $block),
                $alone ? null : $save->caret,
            );
        } catch (UnusableValue $e) {
            throw MaterialsRefused::because($e->says, 'text');
        }
        $pictures = $kind instanceof OwnPictures ? OwnPictures::in($save->text) : [];
        if (\count($this->media->in($copyId, $pictures)) < \count($pictures)) {
            throw MaterialsRefused::unusable('materials.value.wrong', 'text');
        }
        if (!$this->saves->create($studentId)->consume()->isAccepted()) {
            throw MaterialsRefused::tooMuch('materials.too_much', null, 2);
        }
        [$before, $answer] = $this->store->save(
            $copyId,
            $block,
            $kind,
            $alone ? $studentId : $copyId,
            $studentId,
            $save,
        );
        // Others see where it was written; the writer knows.
        $this->publisher->publish(
            $copyId,
            $copy,
            $block,
            $before,
            null === $save->caret
                ? $answer
                : $answer->writtenAt(Splice::between($save->text, $answer->text)->moved($save->caret)),
        );

        return $answer;
    }

    /**
     * @throws MaterialsRefused if the copy is not open to this student
     */
    public function mustBeOpen(string $copyId, string $studentId): void
    {
        $this->open($copyId, $studentId);
    }

    /**
     * @throws MaterialsRefused if the copy is not open to this student, or the picture stands only where they may not
     *                          look
     */
    public function mustSeePicture(string $copyId, string $studentId, string $media): void
    {
        $copy = $this->open($copyId, $studentId);
        $hidden = $this->reader->pictures($copyId, $media);
        foreach ($hidden as [$slot, $owner]) {
            $block = $this->pages->block($copy['pages'], $slot);
            if (null !== $block && (new SlotAccess($copy['members']))->maySee($studentId, $block, $owner)) {
                return;
            }
        }
        if ([] !== $hidden) {
            throw MaterialsRefused::missing();
        }
    }

    /**
     * @return array{WorkCopy, Student} a copy that takes pictures of this student's
     *
     * @throws MaterialsRefused if there is none, or it takes no more so soon
     */
    public function forPictures(string $copyId, string $studentId): array
    {
        $copy = $this->open($copyId, $studentId);
        $access = new SlotAccess($copy['members'], $copy['way']);
        $takes = false;
        foreach ($this->pages->read($copy['pages']) as $page) {
            foreach ($page->blocks as $block) {
                $takesPictures = BlockKind::OwnPictures === $block->kind;
                $takes = $takes || ($takesPictures && $access->mayWrite($studentId, $block->block(), null));
            }
        }
        if (!$takes || !$copy['time']->takes($this->clock->ms())) {
            throw MaterialsRefused::missing();
        }
        if (!$this->pictures->create($studentId)->consume()->isAccepted()) {
            throw MaterialsRefused::tooMuch('materials.media.so_many', 'content', 60);
        }

        return [
            $this->copy($copyId),
            $this->em->find(Student::class, $studentId) ?? throw MaterialsRefused::missing(),
        ];
    }

    /**
     * @return list<StepView>
     *
     * @throws MaterialsRefused if the copy is not open to this student, or that answer is not for them
     */
    public function history(string $copyId, string $slot, string $owner, string $studentId): array
    {
        $copy = $this->open($copyId, $studentId);
        $block = $this->pages->block($copy['pages'], $slot) ?? throw MaterialsRefused::missing();
        if (!(new SlotAccess($copy['members']))->maySee($studentId, $block, $owner)) {
            throw MaterialsRefused::missing();
        }

        return $this->history->forSlot($this->copy($copyId), $slot, $owner);
    }

    /**
     * A member brings back what stood in a slot before, while groups are at work.
     *
     * @throws MaterialsRefused if this student may not write there
     */
    public function bringBack(
        string $copyId,
        string $slot,
        string $owner,
        string $studentId,
        int $revision,
    ): AnswerView {
        $copy = $this->open($copyId, $studentId);
        $block = $this->pages->block($copy['pages'], $slot) ?? throw MaterialsRefused::missing();
        $alone = true === $block->slot()?->isAlone($block->settings);
        if (
            !(new SlotAccess($copy['members'], $copy['way']))->mayWrite($studentId, $block, $alone ? $owner : null)
            || (!$alone && $owner !== $copyId)
        ) {
            throw MaterialsRefused::missing();
        }
        if (!$copy['time']->isAtWork($this->clock->ms())) {
            throw MaterialsRefused::unusable('materials.not_now');
        }
        [$before, $answer] = $this->history->bringBack($this->copy($copyId), $slot, $owner, $studentId, $revision);
        $this->publisher->publish($copyId, $copy, $block, $before, $answer);

        return $answer;
    }

    /**
     * One of the staff brings back what stood in a slot before.
     */
    public function bringBackFor(
        WorkCopy $copy,
        string $slot,
        string $owner,
        string $teacherId,
        int $revision,
    ): AnswerView {
        [$before, $answer, $block] = $this->history->bringBack($copy, $slot, $owner, $teacherId, $revision);
        $now = $this->store->copy($copy->id);
        if (null !== $now) {
            $this->publisher->publish($copy->id, $now, $block, $before, $answer);
        }

        return $answer;
    }

    private function copy(string $id): WorkCopy
    {
        return $this->em->find(WorkCopy::class, $id) ?? throw MaterialsRefused::missing();
    }

    /**
     * @return array{lesson: string, time: CopyTime, way: HandOutWay, members: list<Member>, pages: array<array-key,
     *   mixed>}
     *
     * @throws MaterialsRefused if the copy is not open to this student
     */
    private function open(string $copyId, string $studentId): array
    {
        $copy = $this->store->copy($copyId) ?? throw MaterialsRefused::missing();
        if (
            $copy['time']->stateAt($this->clock->ms())->isClosed()
            || !(new SlotAccess($copy['members']))->mayRead($studentId)
        ) {
            throw MaterialsRefused::missing();
        }

        return $copy;
    }
}
