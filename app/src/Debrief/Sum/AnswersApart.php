<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Sum;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Debrief\Exception\DebriefRefused;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Cupboard\StoredOriginal;
use Symfony\Component\Uid\Uuid;

/**
 * Takes answers out of like ones.
 */
final readonly class AnswersApart
{
    /** Of one round: more than anybody splits by hand. */
    private const MOST = 500;

    public function __construct(private EntityManagerInterface $em, private Transaction $transaction)
    {
    }

    /**
     * @throws DebriefRefused if there is no such worksheet, or too much is apart
     */
    public function set(Round $round, SetApart $request): void
    {
        $this->transaction->run(function () use ($round, $request): void {
            $this->em->lock($round, LockMode::PESSIMISTIC_WRITE);
            $original = $this->em->find(StoredOriginal::class, $request->original) ?? throw DebriefRefused::missing();
            $kept = $this->em->getRepository(AnswerApart::class);
            $text = trim($request->text);
            $same = $kept->findOneBy([
                'round' => $round,
                'original' => $original,
                'slot' => $request->slot,
                'text' => $text,
            ]);
            if (!$request->apart) {
                if (null !== $same) {
                    $this->em->remove($same);
                }
            } elseif (null === $same) {
                if ($kept->count(['round' => $round]) >= self::MOST) {
                    throw DebriefRefused::unusable('debrief.too_much_apart', 'text');
                }
                $this->em->persist(
                    new AnswerApart(Uuid::v7()->toRfc4122(), $round, $original, $request->slot, $text),
                );
            }
        });
    }
}
