<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Account\Teacher;

/**
 * A picture or a recording of a teacher's, or of a class of theirs; its bytes lie in the file store under their digest.
 * Written by MediaShelf.
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'media_digest', columns: ['teacher_id', 'digest'])]
class Media
{
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Teacher $teacher,
        /** SHA-256 of the bytes as they are kept, in hexadecimal. */
        #[ORM\Column(length: 64, options: ['fixed' => true])]
        public readonly string $digest,
        #[ORM\Column(length: 10)]
        public readonly MediaKind $kind,
        /** image/png, audio/webm, … */
        #[ORM\Column(length: 40)]
        public readonly string $type,
        /** Bytes. */
        #[ORM\Column]
        public readonly int $size,
        /** Of a picture, in pixels; 0 for a recording. */
        #[ORM\Column]
        public readonly int $width,
        #[ORM\Column]
        public readonly int $height,
        /** Of a recording; 0 for a picture, or where the file does not say. */
        #[ORM\Column]
        public readonly int $seconds,
        /** Milliseconds since 1970. */
        #[ORM\Column(type: 'bigint')]
        public readonly int $madeAt,
    ) {
    }
}
