<?php

declare(strict_types=1);

namespace FreshHuddle\Standin\Bucket;

use FreshHuddle\Standin\Kernel;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/**
 * A simulated object store that speaks as much of S3 as keeping, fetching and letting go of whole objects takes:
 * path-style addresses, signed requests (whose signature is asked for, and not worked out again), errors in XML.
 */
#[Route(
    '/bucket/{bucket}/{key}',
    requirements: ['bucket' => '[a-z0-9-]{3,40}', 'key' => '[a-z0-9]{2}/[a-z0-9]{3,80}'],
),]
final readonly class BucketApi
{
    #[Route('', methods: ['PUT'])]
    public function put(string $bucket, string $key, Request $request): Response
    {
        if (!self::isSigned($request)) {
            return self::error(403, 'AccessDenied');
        }
        $bytes = $request->getContent();
        $file = self::file($bucket, $key);
        if (!is_dir(\dirname($file))) {
            mkdir(\dirname($file), recursive: true);
        }
        file_put_contents("{$file}.new", $bytes);
        rename("{$file}.new", $file);

        return new Response('', 200, ['ETag' => '"'.md5($bytes).'"']);
    }

    #[Route('', methods: ['GET', 'HEAD'])]
    public function get(string $bucket, string $key, Request $request): Response
    {
        $file = self::file($bucket, $key);
        if (!self::isSigned($request)) {
            return self::error(403, 'AccessDenied');
        }
        if (!is_file($file)) {
            return self::error(404, 'NoSuchKey');
        }

        return new Response((string) file_get_contents($file), 200, [
            'Content-Type' => 'application/octet-stream',
            'ETag' => '"'.md5_file($file).'"',
            'Last-Modified' => gmdate(\DATE_RFC7231, (int) filemtime($file)),
        ]);
    }

    #[Route('', methods: ['DELETE'])]
    public function drop(string $bucket, string $key, Request $request): Response
    {
        if (!self::isSigned($request)) {
            return self::error(403, 'AccessDenied');
        }
        $file = self::file($bucket, $key);
        if (is_file($file)) {
            unlink($file);
        }

        return new Response('', 204);
    }

    private static function file(string $bucket, string $key): string
    {
        return Kernel::folder()."/cache/buckets/{$bucket}/{$key}";
    }

    private static function isSigned(Request $request): bool
    {
        return 1 ===
            preg_match(
                '~^AWS4-HMAC-SHA256 Credential=standin/\d{8}/[a-z0-9-]+/s3/aws4_request,\s*SignedHeaders=[a-z0-9;-]*host[a-z0-9;-]*,\s*Signature=[0-9a-f]{64}$~',
                $request->headers->get('Authorization', ''),
            );
    }

    private static function error(int $status, string $code): Response
    {
        return new Response(
            "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<Error><Code>{$code}</Code><Message>{$code}</Message></Error>",
            $status,
            ['Content-Type' => 'application/xml'],
        );
    }
}
