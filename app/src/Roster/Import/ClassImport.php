<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Roster\Event\ClassChanged;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Roster\Exception\TooManyStudents;
use FreshHuddle\Core\Roster\Import\Column;
use FreshHuddle\Core\Roster\Import\Columns;
use FreshHuddle\Core\Roster\Import\ImportFate;
use FreshHuddle\Core\Roster\Import\ImportLine;
use FreshHuddle\Core\Roster\Import\ImportPlan;
use FreshHuddle\Core\Roster\Import\Sheet;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Brings a list from anywhere into a class.
 */
final readonly class ClassImport
{
    private const SAMPLES = 3;

    public function __construct(
        private EntityManagerInterface $em,
        private EventDispatcherInterface $events,
        private Transaction $transaction,
        private OneRosterSource $oneRoster,
        private SpreadsheetSource $spreadsheet,
        private TextSource $text,
        private Words $words,
    ) {
    }

    /**
     * @param SchoolClass|null $class null: one that is not there yet
     *
     * @throws RosterRefused
     */
    public function preview(?SchoolClass $class, ImportRequest $request): ImportView
    {
        [$sheet, $columns, $packageClasses] = $this->read($request);

        return $this->view(
            $sheet,
            $columns,
            $this->plan($sheet, $columns, null === $class ? [] : $this->students($class)),
            $packageClasses,
        );
    }

    /**
     * @throws RosterRefused then nothing is changed
     */
    public function carryOut(SchoolClass $class, ImportRequest $request): ImportView
    {
        [$sheet, $columns, $packageClasses] = $this->read($request);
        $plan = $this->transaction->run(function () use ($class, $sheet, $columns): ImportPlan {
            $this->em->lock($class, LockMode::PESSIMISTIC_WRITE);
            $students = $this->students($class);
            $plan = $this->plan($sheet, $columns, $students);
            $position =
                [] === $students
                    ? 0
                    : max(array_map(static fn (Student $student): int => $student->position, $students));
            foreach ($plan->lines as $line) {
                if (null === $line->record || ImportFate::Same === $line->fate) {
                    continue;
                }
                $student =
                    $students[$line->student ?? ''] ??
                    new Student(Uuid::v7()->toRfc4122(), $class, $line->record->name, ++$position);
                $student->fill($line->record);
                $this->em->persist($student);
            }
            $this->em->flush();
            $this->events->dispatch(new ClassChanged($class->id));

            return $plan;
        });

        return $this->view($sheet, $columns, $plan, $packageClasses);
    }

    /**
     * @return array{Sheet, Columns, list<PackageClass>}
     */
    private function read(ImportRequest $request): array
    {
        $bytes = $request->text ?? base64_decode($request->file ?? '', true);
        if (false === $bytes || '' === trim($bytes)) {
            throw RosterRefused::unusable(
                null === $request->text ? 'roster.file.empty' : 'roster.file.nothing',
                null === $request->text ? 'file' : 'text',
            );
        }
        $source = $this->source($request, $bytes);
        $packageClasses = $source instanceof OneRosterSource ? $source->classes($bytes) : [];
        $sheet = $source->sheet($bytes, $request->packageClass);
        $columns = Columns::recognise($sheet);
        if (null !== $request->columns || null !== $request->heading) {
            $columns = Columns::chosen(
                null === $request->columns
                    ? $columns->columns
                    : array_map(
                        static fn (ColumnChoice $choice): Column => new Column($choice->heading, $choice->kind),
                        $request->columns,
                    ),
                $request->heading ?? $columns->heading,
                $columns->first,
            );
        }

        return [$sheet, $columns, \count($packageClasses) > 1 ? $packageClasses : []];
    }

    private function source(ImportRequest $request, string $bytes): ListSource
    {
        if (null === $request->text) {
            foreach ([$this->oneRoster, $this->spreadsheet] as $source) {
                if ($source->reads($bytes)) {
                    return $source;
                }
            }
        }

        return $this->text;
    }

    /**
     * @param array<string, Student> $students
     */
    private function plan(Sheet $sheet, Columns $columns, array $students): ImportPlan
    {
        try {
            return ImportPlan::fromSheet(
                $sheet,
                $columns,
                array_map(static fn (Student $student) => $student->record(), $students),
            );
        } catch (TooManyStudents $e) {
            throw RosterRefused::because($e->says, 'text');
        }
    }

    /**
     * @return array<string, Student> by id
     */
    private function students(SchoolClass $class): array
    {
        $students = [];
        foreach (
            $this->em
                ->getRepository(Student::class)
                ->findBy(['class' => $class, 'removedAt' => null], ['position' => 'ASC', 'id' => 'ASC']) as $student
        ) {
            $students[$student->id] = $student;
        }

        return $students;
    }

    /**
     * @param list<PackageClass> $packageClasses
     */
    private function view(Sheet $sheet, Columns $columns, ImportPlan $plan, array $packageClasses): ImportView
    {
        $choices = [];
        foreach ($columns->columns as $i => $column) {
            $values = array_map(
                static fn (array $row): string => $row[$i] ?? '',
                \array_slice($sheet->rows, $columns->first),
            );
            $samples = \array_slice(
                array_values(array_unique(array_filter($values, static fn (string $value): bool => '' !== $value))),
                0,
                self::SAMPLES,
            );
            $choices[] = new ColumnChoice($column->heading, $column->kind, $samples);
        }
        $fates = array_count_values(array_map(static fn ($line): string => $line->fate->value, $plan->lines));

        return new ImportView(
            $choices,
            $columns->heading,
            $fates[ImportFate::Added->value] ?? 0,
            $fates[ImportFate::Changed->value] ?? 0,
            $fates[ImportFate::Same->value] ?? 0,
            $fates[ImportFate::Refused->value] ?? 0,
            array_map(
                fn (ImportLine $line): ImportLineView => ImportLineView::fromLine($line, $this->words),
                $plan->lines,
            ),
            $packageClasses,
        );
    }
}
