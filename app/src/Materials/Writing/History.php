<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Materials\Cupboard\Pages;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\HandOut\Copy\WorkCopy;
use FreshHuddle\Core\Materials\Block;
use Symfony\Component\Uid\Uuid;

/**
 * What stood in a slot before: who, when, what; and any of it brought back, which is itself a step.
 */
final readonly class History
{
    public function __construct(private EntityManagerInterface $em, private SlotStore $store, private Pages $pages)
    {
    }

    /**
     * @param string $owner the student whose answer it is; the copy's own id for an answer of all
     *
     * @return list<StepView> the oldest first; the last is what stands there now
     *
     * @throws MaterialsRefused if there is no such slot
     */
    public function forSlot(WorkCopy $copy, string $slot, string $owner): array
    {
        $this->block($copy, $slot);
        $steps = array_map(
            static fn (SlotRevision $step): StepView => new StepView(
                $step->revision,
                $step->text,
                $step->author,
                $step->at,
            ),
            $this->em
                ->getRepository(SlotRevision::class)
                ->findBy(['copy' => $copy, 'slot' => $slot, 'owner' => $owner], ['at' => 'ASC', 'revision' => 'ASC']),
        );
        $now = $this->em
            ->getRepository(SlotAnswer::class)
            ->findOneBy(['copy' => $copy, 'slot' => $slot, 'owner' => $owner]);
        if (null !== $now) {
            $this->em->refresh($now);
            $steps[] = new StepView($now->revision, $now->text, $now->author, $now->at);
        }

        return $steps;
    }

    /**
     * @param string $author who brings it back
     *
     * @return array{string|null, AnswerView, Block} what stood there before, what stands there now, and the slot
     *
     * @throws MaterialsRefused if there is no such step
     */
    public function bringBack(WorkCopy $copy, string $slot, string $owner, string $author, int $revision): array
    {
        $block = $this->block($copy, $slot);
        $kind = $block->slot() ?? throw MaterialsRefused::missing();
        $steps = $this->forSlot($copy, $slot, $owner);
        $now = $steps[\count($steps) - 1] ?? throw MaterialsRefused::missing();
        foreach ($steps as $step) {
            if ($step->revision === $revision) {
                $text =
                    mb_strlen($step->text) > Block::MAX_TEXT
                        ? mb_substr($step->text, 0, Block::MAX_TEXT)
                        : $step->text;
                [$before, $answer] = $this->store->save(
                    $copy->id,
                    $block,
                    $kind,
                    $owner,
                    $author,
                    new SaveSlot(Uuid::v4()->toRfc4122(), $now->text, $text),
                    true,
                );

                return [$before, $answer, $block];
            }
        }
        throw MaterialsRefused::missing();
    }

    private function block(WorkCopy $copy, string $slot): Block
    {
        $block = $this->pages->block($copy->pages, $slot);

        return null !== $block && $block->kind->isSlot() ? $block : throw MaterialsRefused::missing();
    }
}
