<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Once;

use Doctrine\ORM\Mapping as ORM;

/**
 * A press that has been carried out, with its answer, so that one sent twice creates one thing. Written by OnceStore.
 */
#[ORM\Entity]
class OncePress
{
    public function __construct(
        /** Who pressed. */
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $owner,
        /** The form's own key. */
        #[ORM\Id, ORM\Column(length: 64)]
        public readonly string $key,
        /** Of the address and the body: the same key with another body is a mistake. */
        #[ORM\Column(length: 32)]
        public readonly string $digest,
        #[ORM\Column(type: 'datetimetz_immutable')]
        public readonly \DateTimeImmutable $at,
        /** null while it is being carried out. */
        #[ORM\Column(type: 'smallint', nullable: true)]
        public readonly ?int $status,
        #[ORM\Column(type: 'text', nullable: true)]
        public readonly ?string $answer,
    ) {
    }
}
