<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Http;

use FreshHuddle\App\Tests\Support\ApiExamples;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Files;
use FreshHuddle\App\Tests\Support\Json;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Symfony\Component\Uid\Uuid;

/**
 * Every field of every route, as the API's own description has them, filled with what does not belong there. The answer
 * may be anything but “something broke”.
 */
final class FuzzTest extends AppTestCase
{
    /** JSON, as it stands in a body. */
    private const BAD = [
        'null',
        'true',
        '0',
        '-1',
        '1',
        '2',
        '2147483648',
        '-2147483649',
        '9223372036854775807',
        '9223372036854775808',
        '1e999',
        '1.5',
        '""',
        '" "',
        '"AAAA"',
        '"\u0000"',
        '"a\u0000b"',
        '"\u202Eevil\u202C"',
        '"\ud800"',
        '"\uD83D\uDE00"',
        '"00000000-0000-4000-8000-000000000000"',
        '"00000000-0000-4000-8000-000000000000\n"',
        '"\'; DROP TABLE student; --"',
        '"<script>alert(1)</script>"',
        '[]',
        '[[]]',
        '[null]',
        '[1]',
        '["x"]',
        '{}',
        '{"a":1}',
        '[{}]',
        '{"0":"x"}',
        '[[[[[[[[[[[[[[1]]]]]]]]]]]]]]',
    ];
    private const BAD_IN_PATH = [
        '%00',
        'x',
        '%F0%28%8C',
        '00000000-0000-4000-8000-00000000000G',
        '00000000-0000-4000-8000-000000000000%0A',
        '%27%3B--',
        '..%2F..%2F',
        '%E2%80%AE',
    ];
    private const TWO_AT_ONCE = 24;
    private const AT_A_TIME = 8;

    private Json $lesson;
    private string $student;
    private string $variant;
    private string $rule;
    private string $media;
    private string $setUpId;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lesson = $this->readyLesson(6, 2);
        $class = $this->lesson->text('classId');
        $this->rule = $this->ask('POST', "/api/staff/classes/{$class}/rules", [
            'kind' => 'apart',
            'students' => [$this->lesson->text('students.0.id'), $this->lesson->text('students.1.id')],
        ])->text('rule.id');
        $this->variant = $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/variants', [
            'name' => 'V',
        ])->text('variants.0.id');
        $this->setUpId = $this->beginSetUp($this->lesson);
        $this->media = $this->ask('POST', '/api/staff/media', ['content' => base64_encode(Files::picture())])
            ->is(200)
            ->text('id');
        $this->student = $this->join($this->lesson, $this->lesson->text('floor.groups.0.students.0'));
        $this->setRound($this->lesson->text('id'), ['lookSeconds' => 0]);
        $this->command($this->lesson->text('id'), 'sendOut')->is(200);
        $this->client->disableReboot();
    }

    /**
     * @return iterable<string, array{non-empty-list<array{string, string}>}> some at a time, which share a lesson
     */
    public static function operations(): iterable
    {
        $described = ApiExamples::described();
        $all = [];
        foreach ($described['paths'] as $path => $operations) {
            \assert(\is_array($operations));
            foreach (array_keys($operations) as $verb) {
                $all[] = [strtoupper((string) $verb), (string) $path];
            }
        }
        foreach (array_chunk($all, self::AT_A_TIME) as $some) {
            yield implode(' ', $some[0]).' and after it' => [$some];
        }
    }

    /**
     * @param non-empty-list<array{string, string}> $operations
     */
    #[DataProvider('operations')]
    public function test_nothing_that_is_sent_breaks_anything(array $operations): void
    {
        foreach ($operations as [$verb, $path]) {
            $this->sendEverything($verb, $path);
        }
    }

    private function sendEverything(string $verb, string $path): void
    {
        $good = (new ApiExamples($this->lesson))->body($verb, $path);
        $this->send($verb, $this->at($path), null === $good ? null : json_encode($good, \JSON_THROW_ON_ERROR));
        foreach (self::BAD_IN_PATH as $bad) {
            foreach (self::parameters($path) as $name) {
                $this->send(
                    $verb,
                    str_replace('{'.$name.'}', $bad, $this->at($path, $name)),
                    null === $good ? null : json_encode($good, \JSON_THROW_ON_ERROR),
                );
            }
        }
        if (!\is_array($good)) {
            return;
        }
        foreach ([...self::BAD, '', '{', '[1,1,1', 'nonsense'] as $bad) {
            $this->send($verb, $this->at($path), $bad);
        }
        $fields = self::fields($good);
        foreach ($fields as $field) {
            foreach (self::BAD as $bad) {
                $this->send($verb, $this->at($path), self::with($good, [$field], [$bad]));
            }
            $long = $this->send(
                $verb,
                $this->at($path),
                self::with($good, [$field], ['"'.str_repeat('é', 3_000).'"']),
            );
            if (422 === $long->status) {
                // Which sentence it is depends on the field; that it stands at a field does not.
                self::assertNotSame(
                    [],
                    $long->list('errors'),
                    "{$verb} {$path}: too long in ".json_encode($field).': '.$long->raw,
                );
            }
        }
        $dice = new Randomizer(new Xoshiro256StarStar(crc32($verb.$path)));
        for ($i = 0; $i < self::TWO_AT_ONCE && \count($fields) > 1; ++$i) {
            $some = $dice->pickArrayKeys($fields, 2);
            $bad = [
                self::BAD[$dice->getInt(0, \count(self::BAD) - 1)],
                self::BAD[$dice->getInt(0, \count(self::BAD) - 1)],
            ];
            $this->send($verb, $this->at($path), self::with($good, [$fields[$some[0]], $fields[$some[1]]], $bad));
        }
    }

    private function send(string $verb, string $path, ?string $body): Json
    {
        str_starts_with($path, '/api/student') ? $this->asStudent($this->student) : $this->asTeacher();
        if (str_contains($path, 'join') || str_contains($path, 'sign-in') || str_contains($path, '/classes/')) {
            $this->forgetLimits();
        }
        // Each begins from the same state, and one that breaks the database's transaction does not hide the next.
        $this->db()->executeStatement('SAVEPOINT fuzz');
        $answer = $this->ask($verb, $path, $body, ['Idempotency-Key' => Uuid::v4()->toRfc4122()]);
        $this->db()->executeStatement('ROLLBACK TO SAVEPOINT fuzz');
        self::assertLessThan(
            500,
            $answer->status,
            \sprintf('%s %s with %s: %s', $verb, $path, mb_strimwidth((string) $body, 0, 600), $answer->raw),
        );
        if ($answer->status >= 400) {
            self::assertSame('application/problem+json', $this->client->getResponse()->headers->get('Content-Type'));
        }

        return $answer;
    }

    /**
     * @param string $without a parameter to leave as it is
     */
    private function at(string $path, string $without = ''): string
    {
        $values = [
            'id' => match (true) {
                str_contains($path, '/set-ups/') => $this->setUpId,
                str_contains($path, '/staff/media/') => $this->media,
                str_contains($path, '/copies/') => $this->lesson->text('copies.0.id'),
                str_contains($path, '/groupings/') => $this->lesson->text('floor.id'),
                str_contains($path, '/lessons/') => $this->lesson->text('id'),
                str_contains($path, '/originals/') => $this->lesson->text('handOut.0.original'),
                str_contains($path, '/rounds/') => $this->lesson->text('round.id'),
                str_contains($path, '/students/') => $this->lesson->text('students.0.id'),
                str_contains($path, '/rules/') => $this->rule,
                str_contains($path, '/segments/') => $this->lesson->text('round.segmentId'),
                default => $this->lesson->text('classId'),
            },
            'variant' => $this->variant,
            'guest' => $this->variant,
            'task' => $this->variant,
            'segment' => $this->lesson->text('round.segmentId'),
            'who' => 'x@larkmouth.example',
            'token' => str_contains($path, '/class-page/')
                ? basename($this->lesson->text('classPage'))
                : str_repeat('x', 60),
            'student' => $this->lesson->text('students.0.id'),
            'place' => 'main',
            'moment' => 'out',
            'what' => 'slips',
            'media' => $this->media,
            'slot' => 'decision',
            'seq' => '1',
            'note' => $this->variant,
            'owner' => $this->lesson->text('copies.0.id'),
            'doorWord' => $this->lesson->text('doorWord'),
            'format' => str_contains($path, '/originals/') ? 'json' : 'csv',
        ];
        unset($values[$without]);

        return strtr(
            $path,
            array_combine(
                array_map(static fn (string $name): string => '{'.$name.'}', array_keys($values)),
                array_values($values),
            ),
        );
    }

    /**
     * @param array<array-key, mixed> $value
     * @param list<string>            $at
     *
     * @return list<list<string>> the way to every field, at every depth
     */
    private static function fields(array $value, array $at = []): array
    {
        $fields = [];
        foreach ($value as $name => $field) {
            $way = [...$at, (string) $name];
            $fields[] = $way;
            if (\is_array($field)) {
                array_push($fields, ...self::fields($field, $way));
            }
        }

        return $fields;
    }

    /**
     * @param array<array-key, mixed> $good
     * @param list<list<string>>      $fields
     * @param list<string>            $bad    JSON
     */
    private static function with(array $good, array $fields, array $bad): string
    {
        foreach ($fields as $i => $way) {
            $place = &$good;
            foreach ($way as $name) {
                if (!\is_array($place)) {
                    continue 2; // the other one has taken what it lay in
                }
                $place = &$place[$name];
            }
            $place = "@@{$i}@@";
            unset($place);
        }
        $body = json_encode($good, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
        foreach ($bad as $i => $value) {
            $body = str_replace("\"@@{$i}@@\"", $value, $body);
        }

        return $body;
    }

    /**
     * @return list<string>
     */
    private static function parameters(string $path): array
    {
        preg_match_all('/\{(\w+)\}/', $path, $m);

        return $m[1];
    }
}
