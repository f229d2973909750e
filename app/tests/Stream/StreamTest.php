<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Stream;

use FreshHuddle\App\Live\Moving\FetchedMessage;
use FreshHuddle\App\Live\Presence\SeenMessage;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Channel;
use FreshHuddle\App\Stream\Message\RefreshHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Stream\StreamAddress;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Json;
use Symfony\Component\HttpClient\HttpClient;
use Symfony\Contracts\HttpClient\HttpClientInterface;
use Symfony\Contracts\HttpClient\ResponseInterface;

/**
 * What is said is heard, over the instance's own nginx.
 */
final class StreamTest extends AppTestCase
{
    private HttpClientInterface $http;

    protected function setUp(): void
    {
        parent::setUp();
        $this->http = HttpClient::create(['headers' => ['Accept' => 'text/event-stream']]);
    }

    public function test_a_message_reaches_the_last_of_a_class_of_400(): void
    {
        $lesson = $this->newLesson(400);
        $channels = [];
        foreach (array_keys($lesson->list('students')) as $i) {
            $channels[] = $this->listening($lesson, $lesson->text("students.{$i}.id"));
        }
        $heard = array_map($this->open(...), [$channels[0], $channels[199], $channels[200], $channels[399]]);
        $this->service(Stream::class)->publish([Audience::everybody($lesson->text('id'))], new RefreshHint());
        self::assertSame(4, $this->hears($heard, '{"kind":"refresh","now":false,"lesson":"'.$lesson->text('id').'"}'));
    }

    public function test_who_is_told_is_who_is_there_now(): void
    {
        $lesson = $this->newLesson(3);
        $own = $this->listening($lesson, $lesson->text('students.0.id'));
        $other = $this->listening($lesson, $lesson->text('students.1.id'));
        $past = $this->listening($lesson, $lesson->text('students.2.id'));
        $this->db()->executeStatement(
            "UPDATE student_device SET until = now() - interval '1 second' WHERE channel = ?",
            [$past],
        );
        $heard = array_map($this->open(...), [$own, $other, $past]);
        $this->service(Stream::class)->publish(
            [Audience::student($lesson->text('students.0.id')), Audience::student($lesson->text('students.2.id'))],
            new SeenMessage('room'),
        );
        $this->service(Stream::class)->publish([Audience::student($lesson->text('students.1.id'))], new FetchedMessage(1));
        self::assertSame(
            [1, 0, 0],
            [$this->hears([$heard[0]], 'seen'), $this->hears([$heard[1]], 'seen'), $this->hears([$heard[2]], 'seen')],
        );
    }

    /**
     * @return string the channel of a device that speaks for a student
     */
    private function listening(Json $lesson, string $student): string
    {
        $channel = Channel::fresh();
        $this->db()->executeStatement(
            "INSERT INTO student_device (id, class_id, student_id, token_hash, channel, claimed_at, until)
                VALUES (gen_random_uuid(), ?, ?, ?, ?, now(), now() + interval '1 hour')",
            [$lesson->text('classId'), $student, hash('sha256', $channel), $channel],
        );

        return $channel;
    }

    private function open(string $channel): ResponseInterface
    {
        $base = $_ENV['PUBLIC_URL'] ?? null;
        self::assertIsString($base);
        $response = $this->http->request(
            'GET',
            $base.$this->service(StreamAddress::class)->forChannel($channel)->address,
            [
                'buffer' => true,
            ],
        );
        self::assertSame(200, $response->getStatusCode());

        return $response;
    }

    /**
     * @param list<ResponseInterface> $responses
     *
     * @return int how many of them hear it within a while
     */
    private function hears(array $responses, string $what): int
    {
        $heard = [];
        foreach ($this->http->stream($responses, 1.0) as $response => $chunk) {
            if ($chunk->isTimeout()) {
                break;
            }
            if (str_contains($chunk->getContent(), $what)) {
                $heard[spl_object_id($response)] = true;
            }
            if (\count($heard) === \count($responses)) {
                break;
            }
        }

        return \count($heard);
    }
}
