<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready\Check;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\Check;
use FreshHuddle\Core\Ready\Finding;
use FreshHuddle\Core\Ready\Mend;
use FreshHuddle\Core\Ready\Plan;
use FreshHuddle\Core\Ready\Weight;

/**
 * A link leads to a place whose name is taken for that of another.
 */
final readonly class LinksAlike implements Check
{
    public function find(Plan $plan): array
    {
        $hosts = [];
        foreach ($plan->rooms as $room) {
            if (null !== $room->link) {
                $hosts[$room->link->host] ??= $room->link;
            }
        }
        $hosts = array_values($hosts);
        foreach ($hosts as $i => $host) {
            foreach (\array_slice($hosts, $i + 1) as $other) {
                if ($host->looksLike($other)) {
                    return [
                        new Finding(
                            'linksAlike',
                            Weight::Look,
                            new Message('ready.links_alike', ['one' => $host->host, 'other' => $other->host]),
                            Mend::Rooms,
                        ),
                    ];
                }
            }
        }

        return [];
    }
}
