<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Once;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Worker\PurgesExpired;
use FreshHuddle\Core\Message;

/**
 * Which presses have been carried out. By hand: of two that come at the same moment the primary key decides.
 */
final readonly class OnceStore implements PurgesExpired
{
    /** A press nobody has answered for so long died on the way; seconds. */
    private const DIED_AFTER = 30;
    /** So often, and so far apart in microseconds, it is looked whether the first of two is done. */
    private const LOOKS = 100;
    private const LOOK_EVERY = 100_000;

    public function __construct(private Connection $db)
    {
    }

    /**
     * @return array{int, string}|null the answer to the same press, which has been carried out; null: it is for this
     *     request to do
     *
     * @throws Problem 422 where the key came with another body, 409 while the first is not done
     */
    public function begin(string $owner, string $key, string $digest): ?array
    {
        for ($look = 0; $look < self::LOOKS; ++$look) {
            $isMine =
                1 ===
                (int) $this->db->executeStatement(
                    'INSERT INTO once_press (owner, key, digest, at) VALUES (:owner, :key, :digest, now())
                        ON CONFLICT (owner, key) DO UPDATE SET at = now()
                 WHERE once_press.status IS NULL AND once_press.digest = :digest
                   AND once_press.at < now() - make_interval(secs => :died)',
                    ['owner' => $owner, 'key' => $key, 'digest' => $digest, 'died' => self::DIED_AFTER],
                );
            if ($isMine) {
                return null;
            }
            $row = $this->db->fetchAssociative(
                'SELECT digest, status, answer FROM once_press WHERE owner = ? AND key = ?',
                [$owner, $key],
            );
            if (false === $row) {
                continue; // the first was refused meanwhile
            }
            $row = new Row($row);
            if ($row->text('digest') !== $digest) {
                throw new Problem(422, new Message('http.other_body'));
            }
            $status = $row->intOrNull('status');
            if (null !== $status) {
                return [$status, $row->text('answer')];
            }
            usleep(self::LOOK_EVERY);
        }

        throw new Problem(409, new Message('http.being_done'));
    }

    public function done(string $owner, string $key, int $status, string $answer): void
    {
        $this->db->executeStatement('UPDATE once_press SET status = ?, answer = ? WHERE owner = ? AND key = ?', [
            $status,
            $answer,
            $owner,
            $key,
        ]);
    }

    /**
     * It was refused: it may be tried again.
     */
    public function undone(string $owner, string $key): void
    {
        $this->db->executeStatement('DELETE FROM once_press WHERE owner = ? AND key = ? AND status IS NULL', [
            $owner,
            $key,
        ]);
    }

    /**
     * Answers that are kept to be given again are about somebody who is erased: they are not given again.
     *
     * @param list<string> $texts an id, names
     */
    public function forgetAbout(string $owner, array $texts): void
    {
        $this->db->executeStatement('DELETE FROM once_press WHERE owner = ?', [$owner]);
        foreach ($texts as $text) {
            $this->db->executeStatement('DELETE FROM once_press WHERE answer LIKE ? OR answer LIKE ?', [
                '%'.addcslashes($text, '%_\\').'%',
                '%'.addcslashes(trim(json_encode($text, \JSON_THROW_ON_ERROR), '"'), '%_\\').'%',
            ]);
        }
    }

    public function forgetOld(): void
    {
        $this->db->executeStatement("DELETE FROM once_press WHERE at < now() - interval '1 day'");
    }
}
