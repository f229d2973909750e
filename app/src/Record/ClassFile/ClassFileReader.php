<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\ClassFile;

use FreshHuddle\App\Http\Body\Json;
use FreshHuddle\App\Http\Body\TooManyFields;
use FreshHuddle\App\Http\File\FileShape;
use FreshHuddle\App\Http\File\OpenFormat;
use FreshHuddle\App\Http\File\UnreadableZip;
use FreshHuddle\App\Http\File\UnusableFile;
use FreshHuddle\App\Http\File\Zip;
use FreshHuddle\App\Record\Exception\RecordRefused;
use FreshHuddle\Core\Record\Exception\UnreadableRecord;
use FreshHuddle\Core\Record\Format\RecordFile;

/**
 * Reads a class from its file. A file from elsewhere is not trusted: it is taken whole or not at all.
 */
final readonly class ClassFileReader
{
    public const FORMAT = 'fresh-huddle/class-file';
    public const PLAN = 'class.json';
    private const MOST_BYTES = 200_000_000;
    private const MOST_PART = 20_000_000;
    /** Braces and colons of the record of a thousand students. */
    private const MOST_MARKS = 2_000_000;
    private const DEPTH = 20;

    public function __construct(private FileShape $files)
    {
    }

    /**
     * @throws RecordRefused if it is no such archive
     */
    public static function open(string $bytes): Zip
    {
        try {
            return Zip::open($bytes, self::MOST_BYTES);
        } catch (UnreadableZip $e) {
            throw RecordRefused::unusable(
                $e->tooLarge ? 'record.file.too_large' : 'record.file.another_kind',
                'package',
            );
        }
    }

    /**
     * @throws RecordRefused with the place that is at fault
     */
    public function read(Zip $zip): MovedClass
    {
        $text = $zip->file(self::PLAN) ?? throw RecordRefused::unusable('record.file.another_kind', 'package');

        return $this->readPlan($text);
    }

    /**
     * @param string $text any bytes
     *
     * @throws RecordRefused with the place that is at fault
     */
    public function readPlan(string $text): MovedClass
    {
        $data = \strlen($text) > self::MOST_PART ? null : OpenFormat::read(self::FORMAT, $text, self::DEPTH);
        if (null === $data) {
            throw RecordRefused::unusable('record.file.another_kind', 'package');
        }
        try {
            $class = $this->files->read(MovedClass::class, $data);
        } catch (UnusableFile $e) {
            throw self::refused($e->where);
        }
        self::check($class);

        return $class;
    }

    /**
     * A record in the archive, with students as this instance knows them.
     *
     * @param array<string, string> $students ids here by the ids in the file
     *
     * @throws RecordRefused with the place that is at fault
     */
    public static function record(Zip $zip, string $name, array $students): RecordFile
    {
        $text = $zip->file($name) ?? throw self::refused($name);

        return self::readRecord($text, $name, $students);
    }

    /**
     * @param array<string, string> $students
     *
     * @throws RecordRefused
     */
    public static function readRecord(string $text, string $name, array $students): RecordFile
    {
        if (\strlen($text) > self::MOST_PART) {
            throw RecordRefused::unusable('record.file.too_large', 'package');
        }
        $quoted = [];
        foreach ($students as $there => $here) {
            $quoted['"'.$there.'"'] = '"'.$here.'"';
        }
        try {
            return RecordFile::read(
                Json::decode(strtr(mb_scrub($text), $quoted), self::DEPTH, self::MOST_MARKS),
            );
        } catch (\JsonException|TooManyFields) {
            throw self::refused($name);
        } catch (UnreadableRecord $e) {
            throw RecordRefused::because($e->says, 'package');
        }
    }

    /**
     * What refers to students has to find them.
     */
    private static function check(MovedClass $class): void
    {
        $known = [];
        foreach ($class->students as $i => $student) {
            if (isset($known[$student->id])) {
                throw self::refused("students[{$i}].id");
            }
            $known[$student->id] = true;
        }
        foreach ($class->rules as $i => $rule) {
            foreach ($rule->students as $student) {
                if (!isset($known[$student])) {
                    throw self::refused("rules[{$i}].students");
                }
            }
        }
        foreach ($class->history as $i => $use) {
            foreach ($use->groups as $group) {
                if (\count($group) > 1_200) {
                    throw self::refused("history[{$i}].groups");
                }
            }
        }
    }

    private static function refused(string $where): RecordRefused
    {
        return RecordRefused::unusable('record.file.unreadable', 'package', ['where' => $where]);
    }
}
