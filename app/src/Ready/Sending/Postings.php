<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Sending;

use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Paper\Handouts;
use FreshHuddle\App\Materials\Paper\HandoutsView;
use FreshHuddle\App\Materials\Paper\WorkLine;
use FreshHuddle\App\Ready\Portal\Post;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * What each group of a round finds in the course portal. It names nobody: whoever sees it is its audience.
 */
final readonly class Postings
{
    public function __construct(
        private Handouts $handouts,
        private FloorStore $floors,
        private DeliveryPlan $deliveries,
        private Words $words,
        #[Autowire('%env(PUBLIC_URL)%')]
        private string $publicUrl,
    ) {
    }

    /**
     * @param HandoutsView|null $view the round on paper; null: to be worked out
     *
     * @return array<string, Post> by group's id, in the order of the floor
     */
    public function forRound(Round $round, ?HandoutsView $view = null): array
    {
        $sending = $this->deliveries->forRound($round);
        $view ??= $this->handouts->forRound($round);
        $worded = [];
        // Most groups have most lines alike: each is put in words once.
        $line = function (WorkLine $work) use (&$worded): string {
            return $worded["{$work->way->value}|{$work->variant}|{$work->title}"] ??= $this->words->say(
                null === $work->variant
                    ? new Message('print.work', ['title' => $work->title, 'way' => $work->way->value])
                    : new Message('print.work_in_variant', [
                        'title' => $work->title,
                        'way' => $work->way->value,
                        'variant' => $work->variant,
                    ]),
            );
        };
        $way = $this->words->say(new Message('ready.posting.way', ['doorWord' => $view->doorWord]));
        $audience = [];
        foreach ($view->slips as $slip) {
            if (null !== $slip->group) {
                $audience[$slip->group][] = $slip->id;
            }
        }
        $posts = [];
        foreach ($this->floors->now($round->grouping->id)->groups as $i => $group) {
            $work = array_map($line, [...$view->work, ...$view->groups[$i]->work ?? []]);
            $posts[$group->id] = new Post(
                $this->words->say(
                    new Message('ready.posting.title', ['lesson' => $view->title, 'group' => $group->name]),
                ),
                trim($round->segment->instructions."\n\n".implode("\n", $work)."\n\n".$way),
                $audience[$i + 1] ?? [],
                $sending->unit,
                $sending->dueAt,
                $sending->counted,
                $this->publicUrl.'/student?door='.rawurlencode($view->doorWord),
            );
        }

        return $posts;
    }
}
