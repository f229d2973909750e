<?php

declare(strict_types=1);

namespace FreshHuddle\App\DryRun\Practice;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Lesson\LessonNow;
use FreshHuddle\App\Live\Command\GroupCalls;
use FreshHuddle\App\Live\Presence\PresenceStore;
use FreshHuddle\App\Materials\Cupboard\PageView;
use FreshHuddle\App\Materials\HandOut\Copy\CopyReader;
use FreshHuddle\App\Materials\HandOut\Copy\CopySummary;
use FreshHuddle\App\Materials\Writing\AnswerView;
use FreshHuddle\App\Materials\Writing\CopyView;
use FreshHuddle\App\Materials\Writing\CopyWriter;
use FreshHuddle\App\Materials\Writing\SaveSlot;
use FreshHuddle\App\Refusal\Refusal;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\App\Roster\Door\Door;
use FreshHuddle\App\Roster\Door\JoinClass;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\Core\DryRun\Act;
use FreshHuddle\Core\DryRun\ActKind;
use FreshHuddle\Core\DryRun\Blank;
use FreshHuddle\Core\DryRun\Blanks;
use FreshHuddle\Core\DryRun\Scribble;
use FreshHuddle\Core\DryRun\Sight;
use FreshHuddle\Core\Live\Signal\CallAbout;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\Page;
use Symfony\Component\Uid\Uuid;

/**
 * Does for simulated students what their page and their room would do: by the same services, under the same rules. What
 * is refused to a student is refused to them.
 */
final readonly class PracticeHands
{
    /** Whoever is not let in by the name they typed types it properly after so many milliseconds. */
    private const TRIES_AGAIN = 45_000;
    /** Which copies there are is read anew after so many milliseconds. */
    private const COPIES = 15_000;

    public function __construct(
        private EntityManagerInterface $em,
        private Door $door,
        private PresenceStore $presence,
        private GroupCalls $calls,
        private CopyReader $copies,
        private CopyWriter $writer,
        private Clock $clock,
    ) {
    }

    /**
     * The same page with what there is to fill on the worksheets.
     */
    public function shown(Cast $cast, StudentView $student, LessonNow $lesson, Sight $sight): Sight
    {
        $blanks = [];
        $cast->open[$student->id] = [];
        foreach ($this->copiesOf($cast, $student, $lesson, $sight->place ?? '') as $summary) {
            try {
                $copy = $this->writer->read($summary->id, $student->id);
            } catch (Refusal) {
                continue;
            }
            $cast->open[$student->id][] = $copy;
            foreach (Blanks::of(self::pages($copy)) as $blank) {
                $blanks[] = $this->blank($copy, $blank, $student->id);
            }
        }

        return $sight->withBlanks($blanks);
    }

    public function carryOut(Cast $cast, StudentView $student, LessonNow $lesson, Act $act): void
    {
        try {
            match ($act->kind) {
                ActKind::Arrive => $this->knock($cast, $student, $lesson, $act->text),
                ActKind::ArriveAgain => $this->join($student, $lesson, '', $act->text, '-2'),
                ActKind::Go => $this->presence->seenAt(
                    $student->id,
                    $act->place,
                    $this->clock->ms(),
                    $lesson->lessonId,
                ),
                ActKind::WalkOff => $this->goOut($student, $lesson),
                ActKind::Write => $this->write($cast, $student, $act),
                ActKind::Call => $this->calls->call($this->user($student, $lesson), $this->about($student)),
                ActKind::LoseLine => $this->loseLine($cast, $student, $lesson),
                ActKind::FindLine => $this->findLine($cast, $student),
            };
        } catch (Refusal) {
            // As a page would be refused: it was too late, or somebody was quicker.
        }
    }

    /** Who is not let in by what they typed tries their name as it stands on the list. */
    public function knockAgain(Cast $cast, StudentView $student, LessonNow $lesson, int $now): void
    {
        if (!isset($cast->triesAt[$student->id]) || $now < $cast->triesAt[$student->id]) {
            return;
        }
        unset($cast->triesAt[$student->id]);
        if (!$student->claimed) {
            try {
                $this->join($student, $lesson, $cast->tokens[$student->id] ?? '', $student->name);
            } catch (Refusal) {
                $cast->triesAt[$student->id] = $now + self::TRIES_AGAIN;
            }
        }
    }

    private function knock(Cast $cast, StudentView $student, LessonNow $lesson, string $name): void
    {
        $cast->triesAt[$student->id] = $this->clock->ms() + self::TRIES_AGAIN;
        $cast->tokens[$student->id] = $this->join($student, $lesson, '', $name);
    }

    private function join(
        StudentView $student,
        LessonNow $lesson,
        string $token,
        string $name,
        string $from = '',
    ): string {
        $class = $this->em->find(SchoolClass::class, $lesson->classId);

        return $this->door->join(
            new JoinClass($class->doorWord ?? '', $name, wait: true),
            $token,
            "practice-{$student->id}{$from}",
            true,
        );
    }

    private function goOut(StudentView $student, LessonNow $lesson): void
    {
        $this->presence->seenAt($student->id, null, $this->clock->ms(), $lesson->lessonId);
    }

    private function loseLine(Cast $cast, StudentView $student, LessonNow $lesson): void
    {
        $cast->cut[$student->id] = true;
        $this->goOut($student, $lesson);
    }

    private function findLine(Cast $cast, StudentView $student): void
    {
        unset($cast->cut[$student->id], $cast->signs[$student->id]);
    }

    /** What is written is written in a copy that was shown just now. */
    private function write(Cast $cast, StudentView $student, Act $act): void
    {
        foreach ($cast->open[$student->id] ?? [] as $copy) {
            $block = self::block($copy, $act->slot ?? '');
            $text = null === $block ? null : Scribble::in($block, $act->text);
            if (null === $block || null === $text) {
                continue;
            }
            $isAlone = $block->kind->slot()?->isAlone($block->settings) ?? false;
            $base = self::answer($copy, $block->id, $isAlone ? $student->id : $copy->id)->text ?? '';
            $save = new SaveSlot(Uuid::v4()->toRfc4122(), $base, $text);
            $this->writer->save($copy->id, $block->id, $student->id, $save);

            return;
        }
    }

    private static function block(CopyView $copy, string $slot): ?Block
    {
        foreach ($copy->pages as $page) {
            foreach ($page->blocks as $block) {
                if ($block->id === $slot) {
                    return $block->block();
                }
            }
        }

        return null;
    }

    /**
     * @return list<CopySummary> those they may write in
     */
    private function copiesOf(Cast $cast, StudentView $student, LessonNow $lesson, string $group): array
    {
        $round = $lesson->roundId ?? '';
        if ($cast->round !== $round || $this->clock->ms() - $cast->copiesAt > self::COPIES) {
            $cast->copies = $this->copies->summaries($round);
            [$cast->round, $cast->copiesAt] = [$round, $this->clock->ms()];
        }

        return array_values(
            array_filter(
                $cast->copies,
                static fn (CopySummary $copy): bool => $copy->way->mayWrite()
                    && ($copy->studentId === $student->id || (null === $copy->studentId && $copy->groupId === $group)),
            ),
        );
    }

    private function blank(CopyView $copy, Blank $blank, string $student): Blank
    {
        $answer = self::answer($copy, $blank->slot, $blank->isOwn ? $student : $copy->id);

        return new Blank(
            $blank->slot,
            $blank->isOwn,
            $blank->words,
            $blank->letters,
            null !== $answer && $answer->share >= 1.0,
            null !== $answer && $answer->author !== $student && $this->clock->ms() - $answer->at < Blank::WRITES_ON,
        );
    }

    private static function answer(CopyView $copy, string $slot, string $owner): ?AnswerView
    {
        foreach ($copy->answers as $answer) {
            if ($answer->slot === $slot && $answer->owner === $owner && '' !== $answer->text) {
                return $answer;
            }
        }

        return null;
    }

    /**
     * @return list<Page>
     */
    private static function pages(CopyView $copy): array
    {
        return array_map(static fn (PageView $page): Page => $page->page(), $copy->pages);
    }

    private function about(StudentView $student): CallAbout
    {
        $all = [CallAbout::Question, CallAbout::Stuck, CallAbout::Look, CallAbout::Trouble];

        return $all[crc32($student->id) % \count($all)];
    }

    private function user(StudentView $student, LessonNow $lesson): StudentUser
    {
        return new StudentUser($student->id, $student->name, $lesson->classId, '', $lesson->lessonId, '');
    }
}
