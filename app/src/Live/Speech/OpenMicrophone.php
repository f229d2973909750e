<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Speech;

use Doctrine\ORM\Mapping as ORM;
use FreshHuddle\App\Roster\Student;

/**
 * What the media server has said of a student's microphone in the room they are in. Written by SpeechStore.
 */
#[ORM\Entity]
class OpenMicrophone
{
    /** What the media server calls the room. */
    #[ORM\Column(length: 80)]
    public string $room;

    /** @var list<string> what it calls the sound they send; there is one, unless a page is not ours */
    #[ORM\Column(type: 'json', options: ['jsonb' => true])]
    public array $sounds = [];

    /** Since when they have been speaking, in milliseconds since 1970; null: they are silent. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $speaksSince = null;

    public function __construct(
        #[ORM\Id, ORM\OneToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Student $student,
    ) {
    }
}
