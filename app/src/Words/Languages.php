<?php

declare(strict_types=1);

namespace FreshHuddle\App\Words;

use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * The languages the server speaks: those there is a catalogue of.
 */
final readonly class Languages
{
    /** @var non-empty-list<string> codes such as `en`; English first */
    public array $all;

    public function __construct(#[Autowire('%translator.default_path%')] string $folder)
    {
        $found = [];
        foreach ((array) glob($folder.'/messages+intl-icu.*.yaml') as $file) {
            $code = explode('.', basename((string) $file))[1] ?? 'en';
            if ('en' !== $code) {
                $found[] = $code;
            }
        }
        $this->all = ['en', ...$found];
    }
}
