// A field that finds a student by name.
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { useState } from 'react';
import type { ChooseStudentProps } from '../fields/ChooseStudent';

const fold = (text: string) => text.normalize('NFKD').replace(/\p{M}/gu, '').toLocaleLowerCase();
const shownAtMost = 30;

export function ChooseStudent({ label, students, chosen, onChoose }: ChooseStudentProps) {
  const [typed, setTyped] = useState('');
  const found = students.filter((student) => fold(student.name).includes(fold(typed))).slice(0, shownAtMost);
  const nameOf = (id: string | null) => students.find((student) => student.id === id)?.name ?? '';
  return (
    <Combobox value={chosen} onChange={onChoose} onClose={() => setTyped('')} immediate>
      <ComboboxInput
        aria-label={label}
        placeholder={label}
        displayValue={nameOf}
        onChange={(event) => setTyped(event.target.value)}
        className="w-full min-w-0 border border-ink bg-sheet px-2 py-1"
      />
      <ComboboxOptions
        anchor={{ to: 'bottom start', gap: 2 }}
        className="z-50 max-h-64 w-(--input-width) overflow-y-auto border-2 border-ink bg-sheet empty:invisible"
      >
        {found.map((student) => (
          <ComboboxOption
            key={student.id}
            value={student.id}
            className="cursor-pointer px-2 py-1.5 data-focus:bg-wash data-selected:font-semibold"
          >
            {student.name}
          </ComboboxOption>
        ))}
      </ComboboxOptions>
    </Combobox>
  );
}
