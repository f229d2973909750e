<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

use League\CommonMark\Environment\Environment;
use League\CommonMark\Extension\CommonMark\CommonMarkCoreExtension;
use League\CommonMark\Extension\Strikethrough\StrikethroughExtension;
use League\CommonMark\Extension\Table\TableExtension;
use League\CommonMark\MarkdownConverter;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HtmlSanitizer\HtmlSanitizer;
use Symfony\Component\HtmlSanitizer\HtmlSanitizerConfig;
use Symfony\Component\HtmlSanitizer\Parser\MastermindsParser;
use Symfony\Contracts\Cache\CacheInterface;

/**
 * Texts to read, as they are shown: Markdown, of which only what belongs to a text comes through. No scripts, no
 * pictures from elsewhere, no styles; links open outside. Nesting and marks in a line are bounded, so that no text
 * takes long, and a text is parsed once: what came of it is kept.
 */
final readonly class Markdown
{
    /** What is kept of another version is not used. */
    private const VERSION = 2;
    private const OPTIONS = [
        'html_input' => 'escape',
        'allow_unsafe_links' => false,
        'max_nesting_level' => 20,
        'max_delimiters_per_line' => 200,
        'renderer' => ['soft_break' => "<br />\n"],
        'table' => ['max_autocompleted_cells' => 1_000],
    ];

    private MarkdownConverter $markdown;
    private HtmlSanitizer $sanitizer;

    /**
     * @param CacheInterface|null $kept null: nothing is kept
     */
    public function __construct(#[Autowire(service: 'cache.texts')] private ?CacheInterface $kept = null)
    {
        $environment = new Environment(self::OPTIONS);
        $environment
            ->addExtension(new CommonMarkCoreExtension())
            ->addExtension(new TableExtension())
            ->addExtension(new StrikethroughExtension());
        $this->markdown = new MarkdownConverter($environment);
        $config = (new HtmlSanitizerConfig())
            ->allowLinkSchemes(['https', 'http'])
            ->allowElement('a', ['href'])
            ->forceAttribute('a', 'rel', 'noopener noreferrer')
            ->forceAttribute('a', 'target', '_blank')
            ->withMaxInputLength(200_000);
        foreach (
            [
                'p',
                'br',
                'strong',
                'em',
                'del',
                'ul',
                'ol',
                'li',
                'blockquote',
                'code',
                'pre',
                'hr',
                'h3',
                'h4',
                'h5',
                'table',
                'thead',
                'tbody',
                'tr',
                'th',
                'td',
            ] as $element
        ) {
            $config = $config->allowElement($element);
        }
        // Without namespaces, which cost more with every element there is.
        $this->sanitizer = new HtmlSanitizer($config, new MastermindsParser(['disable_html_ns' => true]));
    }

    /**
     * @param string $text 20 kB of the worst there is take about 0.4 s
     */
    public function html(string $text): string
    {
        if ('' === trim($text)) {
            return '';
        }

        return null === $this->kept
            ? $this->parsed($text)
            : $this->kept->get(self::VERSION.hash('sha256', $text), fn (): string => $this->parsed($text));
    }

    private function parsed(string $text): string
    {
        $html = $this->markdown->convert($text)->getContent();
        // The title of the page is the first heading and the slots are the second: headings in a text come below.
        $html = (string) preg_replace_callback(
            '~<(/?)h([1-6])>~',
            static fn (array $tag): string => "<{$tag[1]}h".min(5, 2 + (int) $tag[2]).'>',
            $html,
        );

        // A name and password in a link are nobody's to see.
        $html = (string) preg_replace('~(<a\s[^>]*href="https?://)[^/?#"]*@~i', '$1', $html);

        return trim($this->sanitizer->sanitize($html));
    }

    /**
     * The texts to read on some pages.
     *
     * @param list<PageView> $pages
     *
     * @return list<BlockHtml>
     */
    public function fromPages(array $pages): array
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
