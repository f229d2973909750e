<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\OpenApi;

use FreshHuddle\App\Stream\Message\StreamMessage;
use Symfony\Component\Finder\Finder;

/**
 * Finds the messages of all areas that go over the stream.
 */
final class StreamMessages
{
    private const SOURCE = __DIR__.'/../..';

    /**
     * @return list<class-string<StreamMessage>> by name
     */
    public static function all(): array
    {
        $all = [];
        foreach (
            Finder::create()
                ->files()
                ->in(self::SOURCE)
                ->name(['*Message.php', '*Hint.php'])
                ->sortByName() as $file
        ) {
            $class = 'FreshHuddle\\App\\'.str_replace(['/', '.php'], ['\\', ''], $file->getRelativePathname());
            if (class_exists($class) && is_subclass_of($class, StreamMessage::class)) {
                $all[] = $class;
            }
        }

        return $all;
    }
}
