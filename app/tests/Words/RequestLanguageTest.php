<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Words;

use FreshHuddle\App\Words\Languages;
use FreshHuddle\App\Words\RequestLanguage;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\HttpKernelInterface;

/**
 * The server speaks the language of the page.
 */
final class RequestLanguageTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/fh-languages-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
        foreach (['en', 'fr', 'cy'] as $code) {
            touch("{$this->folder}/messages+intl-icu.{$code}.yaml");
        }
    }

    protected function tearDown(): void
    {
        foreach ((array) glob($this->folder.'/*') as $file) {
            unlink((string) $file);
        }
        rmdir($this->folder);
    }

    public function test_another_language_is_a_file_and_nothing_else(): void
    {
        self::assertEqualsCanonicalizing(['en', 'fr', 'cy'], (new Languages($this->folder))->all);
        self::assertSame('en', (new Languages($this->folder))->all[0]);
    }

    #[TestWith(['fr', null, 'fr-FR,fr;q=0.9,en;q=0.8'], 'the first the browser asks for')]
    #[TestWith(['en', null, 'de-DE,fr;q=0.5'], 'English where there is no catalogue of the first')]
    #[TestWith(['cy', 'cy', 'fr'], 'what was chosen before')]
    #[TestWith(['en', '../fr', 'fr'], 'English where a cookie says anything else')]
    #[TestWith(['en', null, ''], 'English where nothing is asked for')]
    public function test_the_answer_is_in_the_language_of_the_page(
        string $language,
        ?string $cookie,
        string $accepts,
    ): void {
        $request = Request::create('/', cookies: null === $cookie ? [] : [RequestLanguage::COOKIE => $cookie]);
        $request->headers->set('Accept-Language', $accepts);
        $kernel = self::createStub(HttpKernelInterface::class);
        (new RequestLanguage(new Languages($this->folder)))(
            new RequestEvent($kernel, $request, HttpKernelInterface::MAIN_REQUEST),
        );
        self::assertSame($language, $request->getLocale());
    }
}
