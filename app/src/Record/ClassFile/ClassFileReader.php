<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\ClassFile;

use FreshHuddle\App\Http\Body\Json;
use FreshHuddle\App\Http\Body\Shape;
use FreshHuddle\App\Http\Body\TooManyFields;
use FreshHuddle\App\Http\File\UnreadableZip;
use FreshHuddle\App\Http\File\Zip;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Record\Exception\RecordRefused;
use FreshHuddle\Core\Record\Exception\UnreadableRecord;
use FreshHuddle\Core\Record\Format\RecordFile;
use Symfony\Component\Validator\Validator\ValidatorInterface;

/**
 * Reads a class from its file. A file from elsewhere is not trusted: it is taken whole or not at all.
 */
final readonly class ClassFileReader
{
    public const FORMAT = 'fresh-huddle/class-file';
    public const PLAN = 'class.json';
    private const MOST_BYTES = 200_000_000;
    private const MOST_PART = 40_000_000;
    private const DEPTH = 20;

    public function __construct(private Shape $shape, private ValidatorInterface $validator)
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
        try {
            $data = \strlen($text) > self::MOST_PART ? null : Json::decode(mb_scrub($text), self::DEPTH);
        } catch (\JsonException|TooManyFields) {
            $data = null;
        }
        if (!\is_array($data) || self::FORMAT !== ($data['format'] ?? null) || 1 !== ($data['version'] ?? null)) {
            throw RecordRefused::unusable('record.file.another_kind', 'package');
        }
        unset($data['format'], $data['version']);
        try {
            $class = $this->shape->read(MovedClass::class, $data, '');
        } catch (Problem $e) {
            throw self::refused($e->field ?? '');
        }
        $violations = $this->validator->validate($class);
        if (\count($violations) > 0) {
            throw self::refused($violations->get(0)->getPropertyPath());
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
        $quoted = [];
        foreach ($students as $there => $here) {
            $quoted['"'.$there.'"'] = '"'.$here.'"';
        }
        try {
            return RecordFile::read(
                json_decode(
                    strtr(mb_scrub($text), $quoted),
                    true,
                    self::DEPTH,
                    \JSON_THROW_ON_ERROR | \JSON_BIGINT_AS_STRING,
                ),
            );
        } catch (\JsonException) {
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
