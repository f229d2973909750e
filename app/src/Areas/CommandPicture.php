<?php

declare(strict_types=1);

namespace FreshHuddle\App\Areas;

use FreshHuddle\App\Live\LessonController;

/**
 * Draws the way of a live command (a call back, a message) from the press to the open pages: which class calls which,
 * in the order in which it stands in the code. Inside `Live\Command` calls are followed; what other areas do is one
 * arrow.
 */
final class CommandPicture
{
    private const FOLLOWED = 'FreshHuddle\App\Live\Command\\';

    /**
     * What says nothing about the way: where time, rights and words come from.
     */
    private const LEFT_OUT = ['Clock', 'LessonAccess', 'EntityManagerInterface'];

    /** @var array<string, true> */
    private array $seen = [];

    /**
     * @return string the whole page, as it lies in docs/architecture/live-command.md
     */
    public function markdown(): string
    {
        $this->seen = [];
        $arrows = $this->follow(LessonController::class, 'command');

        return implode("\n", [
            '# The way of a live command',
            '',
            'Drawn from the code by `bin/console huddle:live-command`: what is called from `POST /api/staff/lessons/{id}/commands` on,',
            'in the order in which it stands in the code. Not every command takes every arrow.',
            '',
            '```mermaid',
            'sequenceDiagram',
            '    Teacher->>LessonController: command',
            ...$arrows,
            '```',
            '',
        ]);
    }

    /**
     * @param class-string $class
     *
     * @return list<string> an arrow for each call, each method followed once
     */
    private function follow(string $class, string $method): array
    {
        if (isset($this->seen["{$class}::{$method}"])) {
            return [];
        }
        $this->seen["{$class}::{$method}"] = true;
        $from = new \ReflectionClass($class);
        $arrows = [];
        preg_match_all('/\$this->(\w+)(?:\s*->(\w+))?\(/', self::source($from->getMethod($method)), $calls, \PREG_SET_ORDER);
        foreach ($calls as $call) {
            [$name, $called] = [$call[1], $call[2] ?? ''];
            if ('' === $called) {
                array_push($arrows, ...($from->hasMethod($name) ? $this->follow($class, $name) : []));
                continue;
            }
            $type = $from->hasProperty($name) ? $from->getProperty($name)->getType() : null;
            if ($type instanceof \ReflectionNamedType && class_exists($type->getName())) {
                array_push($arrows, ...$this->call($from, new \ReflectionClass($type->getName()), $called));
            }
        }

        return array_values(array_unique($arrows));
    }

    /**
     * @param \ReflectionClass<object> $from
     * @param \ReflectionClass<object> $to
     *
     * @return list<string>
     */
    private function call(\ReflectionClass $from, \ReflectionClass $to, string $method): array
    {
        if (\in_array($to->getShortName(), self::LEFT_OUT, true)) {
            return [];
        }

        return [
            "    {$from->getShortName()}->>{$to->getShortName()}: {$method}",
            ...str_starts_with($to->getName(), self::FOLLOWED) ? $this->follow($to->getName(), $method) : [],
        ];
    }

    private static function source(\ReflectionMethod $method): string
    {
        $lines = file((string) $method->getFileName());
        $first = (int) $method->getStartLine() - 1;

        return implode('', \array_slice(false === $lines ? [] : $lines, $first, (int) $method->getEndLine() - $first));
    }
}
