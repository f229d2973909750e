<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Sending;

use Doctrine\ORM\Mapping as ORM;

/**
 * Somebody who sees a post, as the portal has it. Written by DeliveryStore.
 */
#[ORM\Entity]
#[ORM\Table(name: 'sent_viewer')]
class DeliveryViewer
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(name: 'sent_id', nullable: false, onDelete: 'CASCADE')]
        public readonly Delivery $delivery,
        /** Our id of the student; what else a portal may say is kept as it said it. */
        #[ORM\Id, ORM\Column(length: 80)]
        public readonly string $viewer,
    ) {
    }
}
