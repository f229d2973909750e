<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Debrief\Question;

use FreshHuddle\Core\Debrief\Exception\UnusableQuestion;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockItem;
use FreshHuddle\Core\Materials\BlockSettings;
use FreshHuddle\Core\Materials\Exception\UnusableValue;
use FreshHuddle\Core\SingleLine;
use FreshHuddle\Core\Visible;

/**
 * A quick question to everybody.
 */
final readonly class Question
{
    public const LONGEST = 200;
    public const MOST_CHOICES = 8;
    public const LONGEST_CHOICE = 60;
    /** Of an answer in words. */
    public const LONGEST_ANSWER = 60;

    public string $text;
    /** @var list<string> */
    public array $choices;

    /**
     * @param string       $text    1 to 200 characters
     * @param list<string> $choices 2 to 8 different ones of up to 60 characters for a choice; otherwise ignored
     *
     * @throws UnusableQuestion
     */
    public function __construct(public QuestionKind $kind, string $text, array $choices = [])
    {
        $this->text = SingleLine::fromText($text);
        if (!Visible::check($this->text)) {
            throw UnusableQuestion::empty();
        }
        if (mb_strlen($this->text) > self::LONGEST) {
            throw UnusableQuestion::long(self::LONGEST);
        }
        $read = QuestionKind::Choice === $kind
            ? array_values(
                array_unique(array_filter(array_map(SingleLine::fromText(...), $choices), Visible::check(...))),
            )
            : [];
        if (QuestionKind::Choice === $kind && (\count($read) < 2 || \count($read) > self::MOST_CHOICES)) {
            throw UnusableQuestion::choices(self::MOST_CHOICES);
        }
        foreach ($read as $choice) {
            if (mb_strlen($choice) > self::LONGEST_CHOICE) {
                throw UnusableQuestion::longChoice(self::LONGEST_CHOICE);
            }
        }
        $this->choices = $read;
    }

    /**
     * The question as it would stand on a worksheet.
     */
    public function block(string $id): Block
    {
        $items = [];
        foreach ($this->choices as $i => $choice) {
            $items[] = new BlockItem('c'.($i + 1), $choice);
        }

        return new Block($id, $this->kind->block(), $this->text, new BlockSettings($items));
    }

    /**
     * @param string $answer as it was pressed or typed: the choice itself, words, or a number
     *
     * @return string as the slot of its kind keeps it (SlotKind)
     *
     * @throws UnusableValue if that is no answer to it
     */
    public function read(string $answer): string
    {
        $block = $this->block('question');
        if (QuestionKind::Choice === $this->kind) {
            $place = array_search($answer, $this->choices, true);

            return false === $place ? throw UnusableValue::wrong() : '{"c'.($place + 1).'":true}';
        }
        $line = SingleLine::fromText($answer);
        if (!Visible::check($line)) {
            throw UnusableValue::wrong();
        }
        if (mb_strlen($line) > self::LONGEST_ANSWER) {
            throw UnusableValue::tooLong();
        }

        return $this->kind->block()->slot()?->read($line, $block) ?? throw UnusableValue::wrong();
    }
}
