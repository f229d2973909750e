<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

use Symfony\Component\HtmlSanitizer\HtmlSanitizer;
use Symfony\Component\HtmlSanitizer\HtmlSanitizerConfig;

/**
 * Texts to read, as they are shown: Markdown, of which only what belongs to a text comes through. No scripts, no pictures
 * from elsewhere, no styles; links open outside.
 */
final readonly class Markdown
{
    private \Parsedown $markdown;
    private HtmlSanitizer $sanitizer;

    public function __construct()
    {
        $this->markdown = new \Parsedown();
        $this->markdown->setSafeMode(true);
        $this->markdown->setBreaksEnabled(true);
        $config = (new HtmlSanitizerConfig())->allowLinkSchemes(['https', 'http'])->allowElement('a', ['href'])
            ->forceAttribute('a', 'rel', 'noopener noreferrer')->forceAttribute('a', 'target', '_blank')->withMaxInputLength(200_000);
        foreach (['p', 'br', 'strong', 'em', 'del', 'ul', 'ol', 'li', 'blockquote', 'code', 'pre', 'hr', 'h3', 'h4', 'h5', 'table', 'thead', 'tbody', 'tr', 'th', 'td'] as $element) {
            $config = $config->allowElement($element);
        }
        $this->sanitizer = new HtmlSanitizer($config);
    }

    public function html(string $text): string
    {
        $html = $this->markdown->text($text);
        \assert(\is_string($html));
        // The title of the page is the first heading and the slots are the second: headings in a text come below.
        $html = (string) preg_replace_callback('~<(/?)h([1-6])>~', static fn (array $tag): string => "<{$tag[1]}h".min(5, 2 + (int) $tag[2]).'>', $html);

        return trim($this->sanitizer->sanitize($html));
    }

    /**
     * The texts to read on some pages.
     *
     * @param list<PageView> $pages
     *
     * @return list<BlockHtml>
     */
    public function of(array $pages): array
    {
        $all = [];
        foreach ($pages as $page) {
            foreach ($page->blocks as $block) {
                if (null === $block->kind->slot() && '' === $block->settings->address) {
                    $all[] = new BlockHtml($block->id, $this->html($block->text));
                    foreach ($block->variants as $variant) {
                        $all[] = new BlockHtml($block->id, $this->html($variant->text), $variant->variant);
                    }
                }
            }
        }

        return $all;
    }
}
