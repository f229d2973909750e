<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media\Store;

use Aws\S3\S3Client;
use League\Flysystem\AwsS3V3\AwsS3V3Adapter;
use League\Flysystem\Filesystem;

/**
 * A bucket of an object store that speaks S3, for several machines.
 */
final readonly class BucketStore extends Flysystem
{
    public function __construct(
        string $endpoint,
        string $key,
        #[\SensitiveParameter]
        string $secret,
        string $bucket,
        string $region = 'eu-central-1',
    ) {
        parent::__construct(
            new Filesystem(
                new AwsS3V3Adapter(
                    new S3Client([
                        'version' => 'latest',
                        'region' => $region,
                        'endpoint' => $endpoint,
                        'use_path_style_endpoint' => true,
                        'credentials' => ['key' => $key, 'secret' => $secret],
                        'retries' => 1,
                        'http' => ['connect_timeout' => 2, 'timeout' => 10],
                    ]),
                    $bucket,
                ),
            ),
            true,
        );
    }
}
