<?php

declare(strict_types=1);

namespace FreshHuddle\App\Words;

use FreshHuddle\Core\Message;
use Symfony\Component\Translation\Loader\YamlFileLoader;
use Symfony\Component\Translation\Translator;
use Symfony\Contracts\Translation\TranslatorInterface;

/**
 * Puts into words what the server says: problems, exports, mail, the reasons that the computation gives. The sentences
 * are in app/translations, one file per language, by area, in ICU message format.
 *
 * A list in a message is there as `{name}` (“Ada, Ben and Chi”), `{name_or}`, `{name_open}` (“Ada, Ben, Chi”) and
 * `{name_quoted}` (“a”; “b”).
 *
 * @phpstan-import-type Value from Message
 */
final readonly class Words
{
    public function __construct(private TranslatorInterface $translator)
    {
    }

    /**
     * For a command that needs no instance.
     */
    public static function alone(): self
    {
        $translator = new Translator('en');
        $translator->addLoader('yaml', new YamlFileLoader());
        foreach ((array) glob(\dirname(__DIR__, 2).'/translations/*.en.yaml') as $file) {
            $translator->addResource('yaml', $file, 'en', basename((string) $file, '.en.yaml'));
        }

        return new self($translator);
    }

    public function say(Message $message): string
    {
        $values = [];
        foreach ($message->values as $name => $value) {
            if (\is_array($value)) {
                $items = array_map($this->part(...), $value);
                $values += [
                    $name => $this->joined($items, 'next', 'and'),
                    $name.'_or' => $this->joined($items, 'next', 'or'),
                    $name.'_open' => $this->joined($items, 'next', 'next'),
                    $name.'_quoted' => $this->joined(
                        array_map(fn (string $item): string => $this->word('quoted', ['one' => $item]), $items),
                        'apart',
                        'apart',
                    ),
                ];
            } else {
                $values[$name] = $value instanceof Message ? $this->say($value) : $value;
            }
        }

        return $this->translator->trans($message->code, $values);
    }

    private function part(int|float|string|Message $value): string
    {
        return $value instanceof Message ? $this->say($value) : (string) $value;
    }

    /**
     * @param list<string> $items
     */
    private function joined(array $items, string $between, string $last): string
    {
        $text = array_shift($items) ?? '';
        foreach ($items as $i => $item) {
            $text = $this->word($i === \count($items) - 1 ? $last : $between, ['start' => $text, 'one' => $item]);
        }

        return $text;
    }

    /**
     * @param array<string, string> $values
     */
    private function word(string $key, array $values): string
    {
        return $this->translator->trans('lists.'.$key, $values);
    }
}
