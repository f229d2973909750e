<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

use FreshHuddle\App\Http\Body\Shape;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\Page;
use FreshHuddle\Core\Materials\Variant;

/**
 * Pages and variants as they are kept, in a document. What cannot be read is an error, never passed over.
 *
 * @phpstan-type Json array<array-key, mixed>
 */
final readonly class Pages
{
    public function __construct(private Shape $shape)
    {
    }

    /**
     * @param array<array-key, mixed> $kept
     *
     * @return list<PageView>
     */
    public function read(array $kept): array
    {
        return array_map(
            fn (mixed $page): PageView => $this->shape->read(PageView::class, $page, 'pages'),
            array_values($kept),
        );
    }

    /**
     * @param array<array-key, mixed> $kept
     *
     * @return list<Variant>
     */
    public function variants(array $kept): array
    {
        return array_map(
            fn (mixed $variant): Variant => $this->shape->read(Variant::class, $variant, 'variants'),
            array_values($kept),
        );
    }

    /**
     * One block of pages as they are kept, without reading all others.
     *
     * @param array<array-key, mixed> $kept
     */
    public function block(array $kept, string $id): ?Block
    {
        foreach ($kept as $page) {
            $blocks = \is_array($page) ? $page['blocks'] ?? null : null;
            foreach (\is_array($blocks) ? $blocks : [] as $block) {
                if (\is_array($block) && $id === ($block['id'] ?? null)) {
                    return $this->shape->read(BlockView::class, $block, 'blocks')->block();
                }
            }
        }

        return null;
    }

    /**
     * @param list<Page>|list<PageView>|list<Variant> $list
     *
     * @return list<Json>
     */
    public static function kept(array $list): array
    {
        /** @var list<Json> a list of objects comes back as one */
        return json_decode(self::text($list), true, 32, \JSON_THROW_ON_ERROR);
    }

    /**
     * @param list<Page>|list<PageView>|list<Variant> $list
     */
    public static function text(array $list): string
    {
        return json_encode($list, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
    }
}
