<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Portal;

use Symfony\Contracts\HttpClient\Exception\ExceptionInterface;
use Symfony\Contracts\HttpClient\HttpClientInterface;

/**
 * The course portal that ships with the product, over HTTP. Its answers are checked as a stranger's would be: nothing
 * of them but plain ids, numbers and the texts we sent is ever shown.
 */
final readonly class StandinCoursePortal implements CoursePortal
{
    public function __construct(
        private HttpClientInterface $portalClient,
        #[\SensitiveParameter]
        private string $token,
        private string $publicUrl,
    ) {
    }

    public function course(string $key, string $name, array $students, array $staff): void
    {
        $this->tell('PUT', '/portal/api/courses/'.rawurlencode($key), [
            'name' => $name,
            'students' => (object) $students,
            'staff' => (object) $staff,
        ]);
    }

    public function post(string $key, string $course, Post $posting): string
    {
        $id =
            $this->request('POST', '/portal/api/courses/'.rawurlencode($course).'/posts', self::body($posting), [
                'Idempotency-Key' => $key,
            ])['id'] ?? null;

        return \is_string($id) && 1 === preg_match('/^[A-Za-z0-9_-]{1,80}$/D', $id)
            ? $id
            : throw PortalFailed::nonsense();
    }

    public function change(string $post, Post $posting): void
    {
        $this->tell('PUT', "/portal/api/posts/{$post}", self::body($posting));
    }

    public function withdraw(string $post): void
    {
        $this->tell('DELETE', "/portal/api/posts/{$post}", []);
    }

    public function posts(string $course): array
    {
        $answer = $this->request('GET', '/portal/api/courses/'.rawurlencode($course).'/posts')['posts'] ?? null;
        $posts = [];
        foreach (\is_array($answer) ? $answer : throw PortalFailed::nonsense() as $id => $post) {
            if (
                !\is_array($post)
                || !\is_string($post['title'] ?? null)
                || !\is_string($post['text'] ?? null)
                || !\is_array($post['audience'] ?? null)
                || !\is_string($post['unit'] ?? null)
                || !\array_key_exists('due', $post)
                || !(null === $post['due'] || \is_int($post['due']))
                || !\is_bool($post['counted'] ?? null)
                || !\is_string($post['link'] ?? null)
            ) {
                throw PortalFailed::nonsense();
            }
            $posts[(string) $id] = new Post(
                $post['title'],
                $post['text'],
                array_values(array_filter($post['audience'], \is_string(...))),
                $post['unit'],
                $post['due'],
                $post['counted'],
                $post['link'],
            );
        }

        return $posts;
    }

    public function page(string $course): string
    {
        return "{$this->publicUrl}/portal/courses/{$course}?as=".
            substr(hash_hmac('sha256', "course|{$course}|teacher", $this->token), 0, 32);
    }

    /**
     * @return array<string, mixed>
     */
    private static function body(Post $posting): array
    {
        return [
            'title' => $posting->title,
            'text' => $posting->text,
            'audience' => $posting->audience,
            'unit' => $posting->unit,
            'due' => $posting->dueAt,
            'counted' => $posting->counted,
            'link' => $posting->link,
        ];
    }

    /**
     * @param array<string, mixed> $body
     *
     * @throws PortalFailed also if it does not say that it was done
     */
    private function tell(string $method, string $path, array $body): void
    {
        if (true !== ($this->request($method, $path, $body)['done'] ?? null)) {
            throw PortalFailed::nonsense();
        }
    }

    /**
     * @param array<string, mixed>|null $body
     * @param array<string, string>     $headers
     *
     * @return array<array-key, mixed>
     *
     * @throws PortalFailed
     */
    private function request(string $method, string $path, ?array $body = null, array $headers = []): array
    {
        try {
            $response = $this->portalClient->request(
                $method,
                $path,
                (null === $body ? [] : ['json' => $body]) + ['auth_bearer' => $this->token, 'headers' => $headers],
            );
            $status = $response->getStatusCode();
            if ($status >= 300) {
                throw PortalFailed::answered($status);
            }

            return $response->toArray();
        } catch (\JsonException) {
            throw PortalFailed::nonsense();
        } catch (ExceptionInterface) {
            throw PortalFailed::noAnswer();
        }
    }
}
