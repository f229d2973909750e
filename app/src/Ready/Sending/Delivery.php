<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Sending;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Lesson\Round\Round;

/**
 * What has gone out to a group or a student, and as what it is known there: once a target and kind. Its own id is the
 * key it is sent under, and stands before anything is sent, so that what is sent again is known again. Written by
 * DeliveryStore.
 */
#[ORM\Entity]
#[ORM\Table(name: 'sent')]
#[ORM\UniqueConstraint(name: 'sent_once', columns: ['round_id', 'kind', 'target'])]
class Delivery
{
    /** What the course portal calls it; null: nothing has arrived there yet. */
    #[ORM\Column(length: 80, nullable: true)]
    public ?string $theirId = null;

    /** Of what it said; '' where it is not there as it was given. */
    #[ORM\Column(length: 32, options: ['default' => ''])]
    public string $digest = '';

    /** Where a letter went. */
    #[ORM\Column(length: 180, options: ['default' => ''])]
    public string $address = '';

    /** When the work is due, as the portal has it. Milliseconds since 1970. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $dueAt = null;

    /** False for a letter that was refused, or came back. */
    #[ORM\Column(options: ['default' => true])]
    public bool $arrived = true;

    #[ORM\Column(length: 200, nullable: true)]
    public ?string $failure = null;

    /** Milliseconds since 1970; null: on its way. */
    #[ORM\Column(name: 'at', type: 'bigint', nullable: true)]
    public ?int $at = null;

    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Round $round,
        #[ORM\Column(length: 10)]
        public readonly DeliveryKind $kind,
        /** Id of the group or the student. */
        #[ORM\Column(type: 'guid')]
        public readonly string $target,
    ) {
    }
}
