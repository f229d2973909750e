<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Materials\Media;

use FreshHuddle\App\Materials\Media\Store\FileAway;
use FreshHuddle\App\Materials\Media\Store\FileStoreFactory;
use FreshHuddle\App\Settings;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What every store keeps to. The bucket is asked over real HTTP.
 */
final class FileStoreTest extends TestCase
{
    /**
     * @return iterable<string, array{string, string}> where it is, and the same where nobody answers
     */
    public static function stores(): iterable
    {
        $settings = require Settings::folder().'/settings.php';
        $url = \is_array($settings) ? $settings['MEETING_URL'] ?? null : null;
        \assert(\is_string($url));
        $port = parse_url($url, \PHP_URL_PORT);
        $folder = sys_get_temp_dir().'/fh-files-'.getmypid();
        yield 'a folder' => ["disk:{$folder}", 'disk:/proc/nowhere'];
        yield 'a bucket' => [
            "s3://standin:secret@127.0.0.1:{$port}/bucket/of-tests?plain=1",
            's3://standin:secret@127.0.0.1:9/bucket/of-tests?plain=1',
        ];
    }

    #[DataProvider('stores')]
    public function test_what_is_put_is_had_again_byte_by_byte(string $dsn): void
    {
        $store = FileStoreFactory::from($dsn);
        $bytes = random_bytes(300_000)."\0\r\n";
        $key = hash('sha256', $bytes);
        $store->put($key, $bytes);
        $store->put($key, $bytes);
        self::assertSame($key, hash('sha256', $store->get($key)));
        $store->put('0'.$key, 'other');
        self::assertSame('other', $store->get('0'.$key));
        self::assertSame($key, hash('sha256', $store->get($key)));
    }

    #[DataProvider('stores')]
    public function test_what_is_let_go_is_gone_and_letting_go_again_is_no_mistake(string $dsn): void
    {
        $store = FileStoreFactory::from($dsn);
        $key = bin2hex(random_bytes(32));
        $store->put($key, 'here');
        $store->drop($key);
        $store->drop($key);
        $this->isAway(static fn (): string => $store->get($key));
    }

    /** A disk that takes no more than 8 kB of a file; what is written beyond is refused by the system. */
    public function test_a_full_disk_destroys_nothing_that_is_there_and_leaves_no_parts(): void
    {
        $folder = sys_get_temp_dir().'/fh-full-'.bin2hex(random_bytes(6));
        $store = FileStoreFactory::from("disk:{$folder}");
        $there = random_bytes(200_000);
        $key = hash('sha256', $there);
        $store->put($key, $there);
        $put = static fn (string $key): string => (string) shell_exec(
            'trap "" XFSZ; ulimit -f 8; '.
                escapeshellarg(\PHP_BINARY).
                ' -d display_errors=0 -r '.
                escapeshellarg(
                    'require '.
                        var_export(\dirname(__DIR__, 4).'/vendor/autoload.php', true).
                        '; try { '.
                        FileStoreFactory::class.
                        '::from('.
                        var_export("disk:{$folder}", true).
                        ')->put('.
                        var_export($key, true).
                        ', random_bytes(200000)); echo "kept"; } catch ('.
                        FileAway::class.
                        ') { echo "away"; }',
                ).
                ' 2>&1',
        );
        self::assertSame('kept', $put($key), 'What is there already needs no room.');
        self::assertSame('away', $put(str_repeat('ab', 32)));
        self::assertSame($there, $store->get($key));
        self::assertSame([], glob($folder.'/parts/*'));
        self::assertSame([], glob($folder.'/ab/*'));
    }

    #[DataProvider('stores')]
    public function test_what_never_became_whole_goes(string $dsn): void
    {
        $store = FileStoreFactory::from($dsn);
        $store->dropParts(time() + 60);
        if (str_starts_with($dsn, 'disk:')) {
            $parts = substr($dsn, 5).'/parts';
            is_dir($parts) || mkdir($parts, recursive: true);
            file_put_contents($parts.'/old', 'x');
            touch($parts.'/old', time() - 7_200);
            file_put_contents($parts.'/new', 'x');
            $store->dropParts(time() - 3_600);
            self::assertSame([$parts.'/new'], glob($parts.'/*'));
            unlink($parts.'/new');
        }
        $this->addToAssertionCount(1);
    }

    #[DataProvider('stores')]
    public function test_where_nobody_answers_it_is_said(string $dsn, string $away): void
    {
        $this->isAway(static fn (): string => FileStoreFactory::from($away)->get('abc'));
        $this->isAway(static function () use ($away): string {
            FileStoreFactory::from($away)->put('abc', 'x');

            return '';
        });
    }

    #[DataProvider('stores')]
    public function test_a_key_leads_nowhere_else(string $dsn): void
    {
        $store = FileStoreFactory::from($dsn);
        foreach (['../../etc/passwd', 'a/b', '', 'ab', 'ABC', "abc\n", str_repeat('a', 81)] as $key) {
            $this->isRefused(static fn (): string => $store->get($key), \LogicException::class);
        }
    }

    public function test_settings_that_name_no_store_are_refused(): void
    {
        foreach (['', 'nonsense', 's3://host/bucket', 'https://k:s@host/bucket'] as $dsn) {
            $this->isRefused(
                static fn (): string => FileStoreFactory::from($dsn)::class,
                \InvalidArgumentException::class,
            );
        }
    }

    /**
     * @param \Closure(): string $do
     */
    private function isAway(\Closure $do): void
    {
        $this->isRefused($do, FileAway::class);
    }

    /**
     * @param \Closure(): string       $do
     * @param class-string<\Throwable> $how
     */
    private function isRefused(\Closure $do, string $how): void
    {
        try {
            $answer = $do();
        } catch (\Throwable $e) {
            self::assertInstanceOf($how, $e);

            return;
        }
        self::fail("It answered: {$answer}");
    }
}
