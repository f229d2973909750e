<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Sending;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Ready\Portal\Post;
use Symfony\Component\Uid\Uuid;

/**
 * Notes what has gone out. By hand: two workers that send the same thing must note it once, under one key, before they
 * send it; and a list of 400 letters is noted one by one while it goes out.
 */
final readonly class DeliveryStore
{
    public function __construct(private Connection $db, private Clock $clock, private Transaction $transaction)
    {
    }

    /**
     * @return string the key it goes out under; the same whenever it is asked for
     */
    public function key(string $roundId, DeliveryKind $kind, string $target): string
    {
        $this->db->executeStatement(
            'INSERT INTO sent (id, round_id, kind, target) VALUES (?, ?, ?, ?) ON CONFLICT (round_id, kind, target)
                DO NOTHING',
            [Uuid::v7()->toRfc4122(), $roundId, $kind->value, $target],
        );
        $key = $this->db->fetchOne('SELECT id FROM sent WHERE round_id = ? AND kind = ? AND target = ?', [
            $roundId,
            $kind->value,
            $target,
        ]);

        return \is_string($key) ? $key : throw new \UnexpectedValueException('What was noted is not there.');
    }

    public function posted(string $key, string $theirId, Post $posting): void
    {
        $this->db->update('sent', ['their_id' => $theirId, 'at' => $this->clock->ms()], ['id' => $key]);
        $this->stands($key, $posting, $posting);
    }

    /**
     * @param Post      $wanted as it was given to the portal
     * @param Post|null $post     as the portal has it; null: it has none
     */
    public function stands(string $key, Post $wanted, ?Post $post): void
    {
        if (null === $post) {
            $this->db->update('sent', ['their_id' => null, 'digest' => '', 'due_at' => null], ['id' => $key]);
            $this->isSeenBy($key, []);

            return;
        }
        $this->db->update(
            'sent',
            [
                'digest' => $post->digest() === $wanted->digest() ? $wanted->digest() : '',
                'due_at' => $post->dueAt,
            ],
            ['id' => $key],
        );
        $this->isSeenBy($key, $post->audience);
    }

    /**
     * @param list<string> $viewers and nobody else
     */
    private function isSeenBy(string $key, array $viewers): void
    {
        $this->transaction->run(function () use ($key, $viewers): void {
            $this->db->delete('sent_viewer', ['sent_id' => $key]);
            $this->db->executeStatement(
                'INSERT INTO sent_viewer (sent_id, viewer)
                 SELECT ?, v FROM jsonb_array_elements_text(?) v ON CONFLICT DO NOTHING',
                [
                    $key,
                    json_encode(
                        array_map(static fn (string $viewer): string => mb_substr($viewer, 0, 80), $viewers),
                        \JSON_THROW_ON_ERROR | \JSON_INVALID_UTF8_SUBSTITUTE,
                    ),
                ],
            );
        });
    }

    public function withdrawn(string $key): void
    {
        $this->db->delete('sent', ['id' => $key]);
    }

    public function written(string $key, string $address, string $digest): void
    {
        $this->db->executeStatement(
            'UPDATE sent SET address = ?, digest = ?, arrived = true, failure = NULL, at = ? WHERE id = ?',
            [$address, $digest, $this->clock->ms(), $key],
        );
    }

    public function refused(string $key, string $address, string $digest, string $why): void
    {
        $this->db->executeStatement(
            'UPDATE sent SET address = ?, digest = ?, arrived = false, failure = ?, at = ? WHERE id = ?',
            [$address, $digest, mb_substr($why, 0, 200), $this->clock->ms(), $key],
        );
    }

    /**
     * @return string|null the lesson it belonged to; null: no such letter went there
     */
    public function cameBack(string $key, string $address, string $why): ?string
    {
        $lesson = $this->db->fetchOne(
            "UPDATE sent SET arrived = false, failure = ? FROM round r WHERE r.id = sent.round_id AND sent.id = ?
                AND sent.kind = 'letter' AND sent.address = ? RETURNING r.lesson_id",
            [mb_substr($why, 0, 200), $key, $address],
        );

        return \is_string($lesson) ? $lesson : null;
    }
}
