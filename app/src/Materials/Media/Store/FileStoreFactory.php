<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media\Store;

/**
 * The store that the instance's settings name: `disk:/folder`, or `s3://KEY:SECRET@host:port/bucket?region=…&plain=1`
 * (plain: without TLS, for a store on the same machine).
 */
final readonly class FileStoreFactory
{
    public static function from(#[\SensitiveParameter] string $dsn): FileStore
    {
        if (str_starts_with($dsn, 'disk:')) {
            return new DiskStore(substr($dsn, 5));
        }
        $parts = parse_url($dsn);
        if (
            !\is_array($parts)
            || 's3' !== ($parts['scheme'] ?? '')
            || !isset($parts['host'], $parts['user'], $parts['pass'], $parts['path'])
        ) {
            throw new \InvalidArgumentException('FILES names no store: disk:/folder or s3://KEY:SECRET@host/bucket.');
        }
        parse_str($parts['query'] ?? '', $options);
        $region = $options['region'] ?? '';
        $path = explode('/', trim($parts['path'], '/'));
        $bucket = array_pop($path);

        return new BucketStore(
            (isset($options['plain']) ? 'http' : 'https').
                '://'.
                $parts['host'].
                (isset($parts['port']) ? ":{$parts['port']}" : '').
                ([] === $path ? '' : '/'.implode('/', $path)),
            rawurldecode($parts['user']),
            rawurldecode($parts['pass']),
            $bucket,
            \is_string($region) && '' !== $region ? $region : 'eu-central-1',
        );
    }
}
