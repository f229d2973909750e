<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Margin;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\Member;
use FreshHuddle\Core\Materials\SlotAccess;

/**
 * Which margin notes stand in copies, and who sees them.
 */
final readonly class MarginReader
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @param string|null $roundId all copies of this round; null: the one copy
     *
     * @return array<string, list<MarginNoteView>> by copy, in the order in which they were written
     */
    public function forRound(?string $roundId, ?string $copyId = null): array
    {
        $query = $this->em
            ->createQueryBuilder()
            ->select('n', 't')
            ->from(MarginNote::class, 'n')
            ->join('n.author', 't')
            ->join('n.copy', 'c')
            ->orderBy('n.id');
        null === $roundId
            ? $query->where('n.copy = :copy')->setParameter('copy', $copyId)
            : $query->where('c.round = :round')->setParameter('round', $roundId);
        /** @var list<MarginNote> $notes */
        $notes = $query->getQuery()->getResult();
        $views = [];
        foreach ($notes as $note) {
            $views[$note->copy->id][] = MarginNoteView::fromNote($note);
        }

        return $views;
    }

    /**
     * Whether a student may see a note: who sees the place, and where it is about the answer of one, who sees that
     * answer.
     *
     * @param list<Member> $members
     * @param string|null  $owner   whose answer it is about
     */
    public static function maySee(array $members, string $studentId, Block $block, ?string $owner): bool
    {
        $access = new SlotAccess($members);

        return $access->maySeeSlot($studentId, $block)
            && (null === $owner || $access->maySee($studentId, $block, $owner));
    }
}
