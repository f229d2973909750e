<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Support;

use Symfony\Component\Uid\Uuid;

/**
 * Requests that fit, made from the API's own description (docs/formats/openapi.json) and a lesson.
 */
final class ApiExamples
{
    /** @var array{paths: array<array-key, mixed>, components: array<array-key, mixed>}|null */
    private static ?array $described = null;

    public function __construct(private readonly Json $lesson)
    {
    }

    /**
     * @return mixed a body that fits; null where none is wanted
     */
    public function body(string $verb, string $path): mixed
    {
        $schema = self::bodyOf($verb, $path);

        return null === $schema ? null : $this->example($schema, '');
    }

    /**
     * @return array{paths: array<array-key, mixed>, components: array<array-key, mixed>}
     */
    public static function described(): array
    {
        if (null === self::$described) {
            $read = json_decode(
                (string) file_get_contents(\dirname(__DIR__, 3).'/docs/formats/openapi.json'),
                true,
                64,
                \JSON_THROW_ON_ERROR,
            );
            \assert(\is_array($read) && \is_array($read['paths']) && \is_array($read['components']));
            self::$described = ['paths' => $read['paths'], 'components' => $read['components']];
        }

        return self::$described;
    }

    /**
     * @return array<array-key, mixed>|null
     */
    private static function bodyOf(string $verb, string $path): ?array
    {
        $operation = self::described()['paths'];
        foreach ([$path, strtolower($verb), 'requestBody', 'content', 'application/json', 'schema'] as $key) {
            $operation = \is_array($operation) ? $operation[$key] ?? null : null;
        }

        return \is_array($operation) ? $operation : null;
    }

    /**
     * A value that fits, so that what is put in its place is what is wrong.
     *
     * @param array<array-key, mixed> $schema
     */
    private function example(array $schema, string $field): mixed
    {
        if (\is_string($schema['$ref'] ?? null)) {
            $schemas = self::described()['components']['schemas'];
            \assert(\is_array($schemas));
            $schema = $schemas[basename($schema['$ref'])] ?? [];
            \assert(\is_array($schema));
        }
        if (\is_array($schema['anyOf'] ?? null)) {
            \assert(\is_array($schema['anyOf'][0]));

            return $this->example($schema['anyOf'][0], $field);
        }
        if (\is_array($schema['enum'] ?? null)) {
            return $schema['enum'][0];
        }
        $type = \is_array($schema['type'] ?? null) ? $schema['type'][0] : $schema['type'] ?? '';
        if ('object' === $type) {
            $object = [];
            \assert(\is_array($schema['properties']));
            foreach ($schema['properties'] as $name => $property) {
                \assert(\is_array($property));
                if ('pass' === $name || 'opensWith' === $name) {
                    continue; // a pass would stand for all the rest; and not every lesson has a segment for work alone
                }
                $object[$name] = $this->example($property, (string) $name);
            }

            return $object;
        }
        if ('array' === $type) {
            \assert(\is_array($schema['items']));

            return match ($field) {
                'students' => [$this->lesson->text('students.0.id'), $this->lesson->text('students.1.id')],
                'segments' => [['id' => $this->lesson->text('round.segmentId'), 'kind' => 'round', 'minutes' => 20]],
                default => [$this->example($schema['items'], $field)],
            };
        }

        return match ($type) {
            'integer' => match ($field) {
                'basedOn' => 1,
                'forMs' => 5,
                'minutes' => 20,
                'position' => 1,
                default => 2,
            },
            'number' => 1.5,
            'boolean' => false,
            default => match ($field) {
                'language' => 'en-GB',
                'id' => $this->lesson->text('floor.groups.0.id'),
                'content' => base64_encode(Files::picture()),
                'student' => $this->lesson->text('students.0.id'),
                'other' => $this->lesson->text('students.1.id'),
                'group', 'groups', 'into', 'table' => $this->lesson->text('floor.groups.0.id'),
                'grouping', 'groupingId' => $this->lesson->text('floor.id'),
                'from', 'leaving' => $this->lesson->text('id'),
                'segment', 'segmentId' => $this->lesson->text('round.segmentId'),
                'slot' => 'decision',
                'owner' => null,
                'copy' => $this->lesson->text('copies.0.id'),
                'round' => $this->lesson->text('round.id'),
                'page' => 'page-1',
                'pointer' => 'decision',
                'now', 'turn' => $this->lesson->text('floor.groups.0.id'),
                'place' => 'main',
                'save' => Uuid::v4()->toRfc4122(),
                'doorWord' => $this->lesson->text('doorWord'),
                'original', 'knew' => $this->lesson->text('handOut.0.original'),
                'address' => 'https://maps.larkmouth.example/',
                'what' => 'balance',
                'file' => base64_encode("Name\nAda"),
                'zone' => 'Europe/Berlin',
                'endsOn' => '2099-07-31',
                'digest' => str_repeat('0', 32),
                'email' => 'ines@larkmouth.example',
                default => 'Student A',
            },
        };
    }
}
