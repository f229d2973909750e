<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Support;

use PHPUnit\Framework\Assert;
use Symfony\Component\HttpFoundation\Response;

/**
 * An answer of the application, read by path: `floor.groups.0.name`.
 */
final readonly class Json
{
    public int $status;
    public string $raw;
    private mixed $data;

    public function __construct(Response $response)
    {
        $this->status = $response->getStatusCode();
        $this->raw = (string) $response->getContent();
        $this->data = json_decode($this->raw, true);
    }

    /**
     * @return $this
     */
    public function is(int $status): self
    {
        Assert::assertSame($status, $this->status, $this->raw);

        return $this;
    }

    public function at(string $path): mixed
    {
        $value = $this->data;
        foreach ('' === $path ? [] : explode('.', $path) as $key) {
            Assert::assertIsArray($value, "Nothing at {$path} in {$this->raw}");
            Assert::assertArrayHasKey($key, $value, "Nothing at {$path} in {$this->raw}");
            $value = $value[$key];
        }

        return $value;
    }

    public function text(string $path): string
    {
        $value = $this->at($path);
        Assert::assertIsString($value);

        return $value;
    }

    public function int(string $path): int
    {
        $value = $this->at($path);
        Assert::assertIsInt($value);

        return $value;
    }

    /**
     * @return list<mixed>
     */
    public function list(string $path): array
    {
        $value = $this->at($path);
        Assert::assertIsArray($value);
        Assert::assertTrue(array_is_list($value));

        return $value;
    }

    /**
     * @return list<string>
     */
    public function texts(string $path): array
    {
        return array_map(static function (mixed $value): string {
            Assert::assertIsString($value);

            return $value;
        }, $this->list($path));
    }
}
