<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Margin;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Materials\Cupboard\Pages;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\HandOut\Copy\WorkCopy;
use FreshHuddle\App\Materials\Writing\CopyWriter;
use FreshHuddle\App\Materials\Writing\SlotStore;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\Core\Materials\Member;
use FreshHuddle\Core\Materials\SlotAccess;
use Symfony\Component\Uid\Uuid;

/**
 * Margin notes: the teacher writes them beside a place in a copy, its group sees them there and answers. Who may not
 * see the place sees no note.
 */
final readonly class Margin
{
    private const MOST = 200;

    public function __construct(
        private EntityManagerInterface $em,
        private CopyWriter $writer,
        private SlotStore $store,
        private Pages $pages,
        private Stream $stream,
        private Clock $clock,
    ) {
    }

    /**
     * @throws MaterialsRefused if there is no such place in the copy, or no such member
     */
    public function write(WorkCopy $copy, Teacher $author, WriteNote $request): MarginNoteView
    {
        $now = $this->store->copy($copy->id) ?? throw MaterialsRefused::missing();
        $block =
            $this->pages->block($now['pages'], $request->slot) ??
            throw MaterialsRefused::unusable('materials.note_no_place', 'slot');
        if (
            null !== $request->owner
            && (true !== $block->slot()?->isAlone($block->settings)
                || !\in_array($request->owner, (new SlotAccess($now['members']))->fillers($block), true))
        ) {
            throw MaterialsRefused::unusable('materials.note_no_place', 'owner');
        }
        if (self::MOST <= $this->em->getRepository(MarginNote::class)->count(['copy' => $copy])) {
            throw MaterialsRefused::unusable('materials.note_full', 'text');
        }
        $note = new MarginNote(
            Uuid::v7()->toRfc4122(),
            $copy,
            $request->slot,
            $request->owner,
            $author,
            trim($request->text),
            $this->clock->ms(),
        );
        $this->em->persist($note);
        $this->em->flush();
        $this->tell($note);

        return MarginNoteView::fromNote($note);
    }

    /**
     * Notes come along into a copy that goes on from another, with what was answered.
     *
     * @param list<string>|null $owners whose answers come along, beside what was written together; null: everybody's
     */
    public function goOn(string $fromCopy, string $toCopy, ?array $owners = null): void
    {
        $copy = $this->em->find(WorkCopy::class, $toCopy) ?? throw MaterialsRefused::missing();
        foreach (
            $this->em->getRepository(MarginNote::class)->findBy(['copy' => $fromCopy], ['id' => 'ASC']) as $was
        ) {
            if (null !== $owners && null !== $was->owner && !\in_array($was->owner, $owners, true)) {
                continue;
            }
            $note = new MarginNote(
                Uuid::v7()->toRfc4122(),
                $copy,
                $was->slot,
                $was->owner,
                $was->author,
                $was->text,
                $was->at,
            );
            [$note->seenAt, $note->answer, $note->answeredBy, $note->answeredAt] = [
                $was->seenAt,
                $was->answer,
                $was->answeredBy,
                $was->answeredAt,
            ];
            $this->em->persist($note);
        }
        $this->em->flush();
    }

    /**
     * Wiped off, with what was answered. Safe to do twice.
     */
    public function wipe(MarginNote $note): void
    {
        $whom = $this->audience($note);
        $this->em->remove($note);
        $this->em->flush();
        $this->stream->publish($whom, new MarginMessage($note->copy->id, null, $note->id));
    }

    /**
     * @throws MaterialsRefused if there is no such note for this student
     */
    public function answer(string $copyId, string $noteId, string $studentId, string $answer): MarginNoteView
    {
        $note = $this->forStudent($copyId, $noteId, $studentId);
        $note->answer = trim($answer);
        $note->answeredBy = '' === $note->answer ? null : $studentId;
        $note->answeredAt = '' === $note->answer ? null : $this->clock->ms();
        $note->seenAt ??= $this->clock->ms();
        $this->em->flush();
        $this->tell($note);

        return MarginNoteView::fromNote($note);
    }

    /**
     * One of the group has it on their screen.
     *
     * @throws MaterialsRefused if there is no such note for this student
     */
    public function seen(string $copyId, string $noteId, string $studentId): void
    {
        $note = $this->forStudent($copyId, $noteId, $studentId);
        if (null === $note->seenAt) {
            $note->seenAt = $this->clock->ms();
            $this->em->flush();
            $this->tell($note);
        }
    }

    /**
     * @throws MaterialsRefused
     */
    private function forStudent(string $copyId, string $noteId, string $studentId): MarginNote
    {
        $this->writer->mustBeOpen($copyId, $studentId);
        $copy = $this->store->copy($copyId) ?? throw MaterialsRefused::missing();
        $note = $this->em->getRepository(MarginNote::class)->findOneBy(['id' => $noteId, 'copy' => $copyId]);
        $block = null === $note ? null : $this->pages->block($copy['pages'], $note->slot);
        if (
            null === $note
            || null === $block
            || !MarginReader::maySee($copy['members'], $studentId, $block, $note->owner)
        ) {
            throw MaterialsRefused::missing();
        }

        return $note;
    }

    private function tell(MarginNote $note): void
    {
        $this->stream->publish(
            $this->audience($note),
            new MarginMessage($note->copy->id, MarginNoteView::fromNote($note), null),
        );
    }

    /**
     * @return list<Audience>
     */
    private function audience(MarginNote $note): array
    {
        $copy = $this->store->copy($note->copy->id);
        if (null === $copy) {
            return []; // its table has been taken away
        }
        $block = $this->pages->block($copy['pages'], $note->slot);
        $members =
            null === $block
                ? []
                : array_values(
                    array_filter(
                        array_map(static fn (Member $member): string => $member->student, $copy['members']),
                        static fn (string $member): bool => MarginReader::maySee(
                            $copy['members'],
                            $member,
                            $block,
                            $note->owner,
                        ),
                    ),
                );

        return [Audience::staff($copy['lesson']), ...array_map(Audience::student(...), $members)];
    }
}
