<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp\Part;

use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Paper\Handouts;
use FreshHuddle\App\Ready\Sending\DeliveryKind;
use FreshHuddle\App\Ready\Sending\DeliveryPlan;
use FreshHuddle\App\Ready\Sending\DeliveryReader;
use FreshHuddle\App\Ready\Sending\Postings;
use FreshHuddle\App\Ready\Sending\StudentLetters;
use FreshHuddle\Core\Ready\SetUp\LetterThere;
use FreshHuddle\Core\Ready\SetUp\PostThere;
use FreshHuddle\Core\Ready\SetUp\WantedLetter;
use FreshHuddle\Core\Ready\SetUp\WantedPost;

/**
 * Posts and letters of a round: those that should go out, and those that have.
 */
final readonly class DeliveryPart
{
    public function __construct(
        private DeliveryPlan $deliveries,
        private Handouts $handouts,
        private Postings $postings,
        private StudentLetters $letters,
        private DeliveryReader $sent,
    ) {
    }

    /**
     * @return array{list<WantedPost>, list<WantedLetter>}
     */
    public function wanted(Round $round): array
    {
        $sending = $this->deliveries->forRound($round);
        $posts = $letters = [];
        $view = $sending->posts || $sending->letters ? $this->handouts->forRound($round) : null;
        foreach ($sending->posts ? $this->postings->forRound($round, $view) : [] as $group => $posting) {
            $posts[] = new WantedPost($group, $posting->audience, $posting->digest());
        }
        foreach ($sending->letters ? $this->letters->facts($round, $view) : [] as $student => $letter) {
            $letters[] = new WantedLetter($student, $letter->address, $letter->digest());
        }

        return [$posts, $letters];
    }

    /**
     * @return array{list<PostThere>, list<LetterThere>}
     */
    public function there(Round $round): array
    {
        $postsThere = $lettersThere = [];
        foreach ($this->sent->forRound($round->id) as $sent) {
            if (DeliveryKind::Post === $sent->kind && null !== $sent->theirId) {
                $postsThere[] = new PostThere($sent->id, $sent->target, $sent->name, $sent->audience, $sent->digest);
            } elseif (DeliveryKind::Letter === $sent->kind && null !== $sent->at) {
                $lettersThere[] = new LetterThere($sent->target, $sent->address, $sent->digest, $sent->arrived);
            }
        }

        return [$postsThere, $lettersThere];
    }
}
