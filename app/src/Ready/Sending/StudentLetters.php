<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Sending;

use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Materials\Paper\Handouts;
use FreshHuddle\App\Materials\Paper\HandoutsView;
use FreshHuddle\App\Roster\Roster;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\App\Words\Direction;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * What each student with an address is written of a round: where they sit, what they carry, and their own way in.
 * Nothing of anybody else.
 */
final readonly class StudentLetters
{
    /** What a column of the class list is called that says which language somebody has. */
    private const LANGUAGE = [
        'language',
        'home language',
        'lang',
        'first language',
        'sprache',
        'muttersprache',
        'langue',
        'idioma',
        'lingua',
        'язык',
        'اللغة',
    ];

    public function __construct(
        private Handouts $handouts,
        private Roster $roster,
        private DeliveryPlan $deliveries,
        private Words $words,
        #[Autowire('%env(PUBLIC_URL)%')]
        private string $publicUrl,
    ) {
    }

    /**
     * What each letter is about, before it is put in words.
     *
     * @param HandoutsView|null $view the round on paper; null: to be worked out
     *
     * @return array<string, LetterFacts> by student
     */
    public function facts(Round $round, ?HandoutsView $view = null): array
    {
        $students = [];
        foreach ($this->roster->students($round->lesson->class) as $student) {
            if (null !== $student->email) {
                $students[$student->id] = $student;
            }
        }
        if ([] === $students) {
            return [];
        }
        $view ??= $this->handouts->forRound($round);
        $zone = $this->deliveries->forRound($round)->zone;
        $facts = [];
        foreach ($view->slips as $slip) {
            $student = $students[$slip->id] ?? null;
            if (null === $student || null === $slip->group) {
                continue;
            }
            $facts[$student->id] = new LetterFacts(
                (string) $student->email,
                $slip,
                $view->groups[$slip->group - 1]->name,
                $view->className,
                $view->title,
                $view->startsAt,
                $zone,
                trim($round->segment->instructions),
                self::language($student),
            );
        }

        return $facts;
    }

    /**
     * @return array<string, StudentLetter> by student
     */
    public function forRound(Round $round): array
    {
        return array_map($this->letter(...), $this->facts($round));
    }

    private function letter(LetterFacts $facts): StudentLetter
    {
        $slip = $facts->slip;
        $values = [
            'name' => $slip->name,
            'class' => $facts->class,
            'lesson' => $facts->lesson,
            'group' => $facts->group,
            'number' => (int) $slip->seat,
            'role' => $slip->role,
            'task' => $slip->task,
        ];
        $lines = array_map(
            fn (string $code): string => $this->words->say(new Message('ready.letter.'.$code, $values)),
            ['hello', 'seat', ...'' === $slip->role ? [] : ['role'], ...'' === $slip->task ? [] : ['task']],
        );
        if (null !== $facts->startsAt) {
            $lines[] = $this->words->say(
                new Message('ready.letter.starts', ['at' => self::moment($facts->startsAt, $facts->zone)]),
            );
        }
        if ('' !== $facts->instructions) {
            $lines[] = $facts->instructions;
        }
        $lines[] = $this->words->say(new Message('ready.letter.first'));

        return new StudentLetter(
            $slip->id,
            $facts->address,
            $this->words->say(new Message('ready.letter.subject', $values)),
            $lines,
            $this->publicUrl.$slip->pass,
            $this->words->say(new Message('ready.letter.press')),
            Direction::forLanguage($facts->language, $slip->name),
            $facts->digest(),
        );
    }

    private static function language(Student $student): string
    {
        foreach ($student->attributes as $name => $value) {
            if (\in_array(mb_strtolower(trim((string) $name)), self::LANGUAGE, true)) {
                return (string) $value;
            }
        }

        return '';
    }

    /**
     * @param int $at milliseconds since 1970
     */
    private static function moment(int $at, string $zone): string
    {
        $format = new \IntlDateFormatter('en_GB', \IntlDateFormatter::FULL, \IntlDateFormatter::SHORT, $zone);

        return (string) $format->format(intdiv($at, 1_000))." ({$zone})";
    }
}
