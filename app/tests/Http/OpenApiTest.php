<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Http;

use FreshHuddle\App\Http\OpenApi\OpenApi;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;

/**
 * The description of the API is what the code says.
 */
final class OpenApiTest extends KernelTestCase
{
    public function test_the_description_in_the_docs_is_what_the_code_says(): void
    {
        $described = json_encode(self::openApi()->describe(), \JSON_THROW_ON_ERROR);
        $written = (string) file_get_contents(\dirname(__DIR__, 3).'/docs/formats/openapi.json');
        self::assertJsonStringEqualsJsonString(
            $described,
            $written,
            'stale: run bin/console huddle:openapi > docs/formats/openapi.json && npm run types',
        );
    }

    private static function openApi(): OpenApi
    {
        $openApi = self::getContainer()->get(OpenApi::class);
        self::assertInstanceOf(OpenApi::class, $openApi);

        return $openApi;
    }
}
