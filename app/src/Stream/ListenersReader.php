<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/**
 * Which devices hear something now. By hand, and in one round trip: every save asks.
 */
final readonly class ListenersReader
{
    /** @var array<string, string> by kind of audience */
    private array $queries;

    /**
     * @param iterable<Listeners> $listeners of all areas
     */
    public function __construct(private Connection $db, #[AutowireIterator(Listeners::class)] iterable $listeners)
    {
        $queries = [];
        foreach ($listeners as $some) {
            $queries += $some::queries();
        }
        $this->queries = $queries;
    }

    /**
     * @param list<Audience> $audiences
     *
     * @return array<string, list<string>> channels by what is said beside the message (JSON of Audience::subject)
     */
    public function forAudiences(array $audiences): array
    {
        $ids = [];
        foreach ($audiences as $audience) {
            $ids[$audience->kind->value][] = $audience->id;
        }
        $parts = $values = [];
        foreach ($ids as $kind => $some) {
            $parts[] = $this->queries[$kind];
            $values[] = array_values(array_unique($some));
        }
        if ([] === $parts) {
            return [];
        }
        $channels = [];
        $rows = $this->db->fetchAllNumeric(
            implode(' UNION ', $parts),
            $values,
            array_fill(0, \count($values), ArrayParameterType::STRING),
        );
        foreach ($rows as [$kind, $subject, $channel]) {
            \assert(\is_string($kind) && \is_string($subject) && \is_string($channel));
            $beside = json_encode(
                (object) self::audience(AudienceKind::from($kind), $subject)->subject(),
                \JSON_THROW_ON_ERROR,
            );
            $channels[$beside][] = $channel;
        }

        return $channels;
    }

    private static function audience(AudienceKind $kind, string $id): Audience
    {
        return match ($kind) {
            AudienceKind::Staff => Audience::staff($id),
            AudienceKind::Desk => Audience::desk($id),
            AudienceKind::Everybody => Audience::everybody($id),
            AudienceKind::SchoolClass => Audience::schoolClass($id),
            AudienceKind::Student => Audience::student($id),
            AudienceKind::ClassPage => Audience::classPage($id),
        };
    }
}
