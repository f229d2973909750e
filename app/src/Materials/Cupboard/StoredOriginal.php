<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Account\Teacher;

/**
 * An original in a teacher's cupboard; students never get it. Its pages are a document, read and written whole, as its
 * version counts the whole. Written by Cupboard.
 *
 * @phpstan-import-type Json from Pages
 */
#[ORM\Entity]
#[ORM\Table(name: 'original')]
#[ORM\Index(name: 'original_of_teacher', columns: ['teacher_id', 'changed_at'])]
class StoredOriginal
{
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Teacher $teacher,
        #[ORM\Column(length: 120)]
        public string $title,
        #[ORM\Column(length: 80)]
        public string $subject,
        #[ORM\Column(length: 40)]
        public string $year,
        /** Words to find it by. */
        #[ORM\Column(length: 300)]
        public string $about,
        /** @var list<Json> read through Pages */
        #[ORM\Column(type: 'json', options: ['jsonb' => true])]
        public array $pages,
        /** @var list<Json> */
        #[ORM\Column(type: 'json', options: ['jsonb' => true])]
        public array $variants,
        #[ORM\Column]
        public int $version,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public int $changedAt,
        /** Put away: found only where it is looked for. Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint', nullable: true)]
        public ?int $archivedAt = null,
        /** Deleted, and kept for whoever thinks again. Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint', nullable: true)]
        public ?int $removedAt = null,
    ) {
    }
}
