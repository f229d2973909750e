import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { MessagesProvider } from '../../../ui/page/messages';
import { StudentList } from './StudentList';
import type { Student } from './useStudentActions';

const patch = vi.hoisted(() => vi.fn());
const other = vi.hoisted(() => vi.fn());
const put = vi.hoisted(() => vi.fn());
vi.mock('../../../api/client', () => ({
  api: { PATCH: patch, POST: other, DELETE: other, PUT: put },
  take: (answer: unknown) => answer,
}));

function student(name: string, more: Partial<Student> = {}): Student {
  return {
    id: name.toLowerCase(),
    name,
    absent: false,
    claimed: false,
    seatable: true,
    schoolId: null,
    table: null,
    attributes: [],
    tags: [],
    ...more,
  };
}

function show(students: Student[]) {
  const queries = new QueryClient();
  render(
    <QueryClientProvider client={queries}>
      <MessagesProvider>
        <StudentList
          classId="c"
          students={students}
          attributes={[{ name: 'Level', numeric: true, values: ['1', '2'] }]}
        />
      </MessagesProvider>
    </QueryClientProvider>,
  );
}

const type = (label: string, value: string) => {
  fireEvent.click(screen.getByRole('button', { name: label }));
  const field = screen.getByRole('textbox', { name: label });
  fireEvent.change(field, { target: { value } });
  fireEvent.keyDown(field, { key: 'Enter' });
};
const sent = (): unknown => (patch.mock.calls.at(-1)?.[1] as { body: unknown }).body;

describe('the class list', () => {
  beforeEach(() => {
    for (const mock of [patch, other, put]) {
      mock.mockReset();
      mock.mockResolvedValue(undefined);
    }
  });

  it('shows everything it knows, and a dash where it knows nothing', () => {
    show([student('Ada', { table: 'Window', tags: ['lead', 'calm'], attributes: [{ name: 'Level', value: '2' }] })]);
    const row = screen.getByRole('row', { name: /Ada/ });
    expect(row).toHaveTextContent('1AdaWindow2lead, calm');
    show([student('Ben')]);
    expect(screen.getByRole('button', { name: 'Level of Ben' })).toHaveTextContent('–');
  });

  it('is changed where it stands', async () => {
    show([student('Ada', { table: 'Window' })]);
    type('Level of Ada', ' 4 ');
    await waitFor(() => expect(sent()).toEqual({ attributes: [{ name: 'Level', value: '4' }] }));
    type('Tags of Ada', 'lead, calm ,, ');
    await waitFor(() => expect(sent()).toEqual({ tags: ['lead', 'calm'] }));
    type('Table of Ada', '');
    await waitFor(() => expect(sent()).toEqual({ table: '' }));
  });

  it('leaves a name alone that was emptied, and what was not changed', () => {
    show([student('Ada')]);
    type('Rename Ada', '  ');
    type('Rename Ada', 'Ada');
    expect(patch).not.toHaveBeenCalled();
  });

  it('goes down a column with Enter, and the focus stays where there is no next', async () => {
    show([student('Ada'), student('Ben')]);
    type('Level of Ada', '3');
    const next = await screen.findByRole('textbox', { name: 'Level of Ben' });
    fireEvent.change(next, { target: { value: '4' } });
    fireEvent.keyDown(next, { key: 'Enter' });
    await waitFor(() => expect(sent()).toEqual({ attributes: [{ name: 'Level', value: '4' }] }));
    expect(screen.getByRole('button', { name: 'Level of Ben' })).toHaveFocus();
    fireEvent.click(screen.getByRole('button', { name: 'Table of Ada' }));
    fireEvent.keyDown(screen.getByRole('textbox', { name: 'Table of Ada' }), { key: 'Escape' });
    expect(screen.getByRole('button', { name: 'Table of Ada' })).toHaveFocus();
  });

  const filled = (): unknown => (put.mock.calls.at(-1)?.[1] as { body: unknown }).body;

  it('takes a pasted column of a spreadsheet from the cell downwards, and no further than the list', async () => {
    show([student('Ada'), student('Ben'), student('Chi')]);
    fireEvent.click(screen.getByRole('button', { name: 'Level of Ben' }));
    fireEvent.paste(screen.getByRole('textbox', { name: 'Level of Ben' }), {
      clipboardData: { getData: () => '3\r\n4\r\n5\r\n' },
    });
    await waitFor(() =>
      expect(filled()).toEqual({
        attribute: 'Level',
        cells: [
          { student: 'ben', value: '3' },
          { student: 'chi', value: '4' },
        ],
      }),
    );
  });

  it('fills a column for those who have none, or for all, and takes it back as it was', async () => {
    show([student('Ada', { table: 'Window' }), student('Ben'), student('Chi')]);
    const fill = async (press: string) => {
      fireEvent.click(screen.getByRole('button', { name: 'Fill in Table for several students' }));
      fireEvent.change(await screen.findByLabelText('Value'), { target: { value: 'Door' } });
      fireEvent.click(screen.getByRole('button', { name: press }));
    };
    await fill('For the 2 students without one');
    await waitFor(() =>
      expect(filled()).toMatchObject({ attribute: null, cells: [{ student: 'ben' }, { student: 'chi' }] }),
    );
    await fill('For all 3 students shown');
    await waitFor(() => expect(filled()).toMatchObject({ cells: [{ student: 'ada', value: 'Door' }, {}, {}] }));
    await screen.findByText('Table filled in for 3 students.');
    fireEvent.click(screen.getAllByRole('button', { name: 'Undo' }).at(-1) ?? document.body);
    await waitFor(() => expect(filled()).toMatchObject({ cells: [{ value: 'Window' }, { value: '' }, { value: '' }] }));
  });

  it('marks absent at once', async () => {
    show([student('Ada')]);
    const box = screen.getByRole('checkbox', { name: 'Ada is absent today' });
    fireEvent.click(box);
    expect(box).toBeChecked();
    await waitFor(() => expect(sent()).toEqual({ absent: true }));
  });

  it('has a column more when asked, for the teacher’s own words', async () => {
    show([student('Ada')]);
    fireEvent.click(screen.getByRole('button', { name: 'Add column' }));
    fireEvent.change(screen.getByLabelText('What is the column about?'), { target: { value: 'Reading' } });
    fireEvent.click(screen.getByRole('button', { name: 'Add column' }));
    expect(screen.getByRole('columnheader', { name: 'Reading' })).toBeInTheDocument();
    type('Reading of Ada', 'slow');
    await waitFor(() => expect(sent()).toEqual({ attributes: [{ name: 'Reading', value: 'slow' }] }));
  });

  it('finds a student in a long list', async () => {
    show(Array.from({ length: 20 }, (_, i) => student(`Student ${String.fromCharCode(65 + i)}`)));
    fireEvent.change(screen.getByRole('searchbox'), { target: { value: 'nt c' } });
    await waitFor(() => expect(screen.getAllByRole('row')).toHaveLength(2));
    expect(screen.getAllByRole('row')[1]).toHaveTextContent('3Student C');
    fireEvent.change(screen.getByRole('searchbox'), { target: { value: 'zzz' } });
    expect(await screen.findByText('Nobody has that name.')).toBeInTheDocument();
  });

  it('keeps the rarer things one press away', async () => {
    show([student('Tablet', { claimed: true })]);
    fireEvent.click(screen.getByRole('button', { name: 'More about Tablet' }));
    const slip = await screen.findByRole('dialog');
    expect(within(slip).getByRole('button', { name: 'Let Tablet join again on another device' })).toBeInTheDocument();
    fireEvent.click(within(slip).getByRole('button', { name: 'Leave out of groups' }));
    await waitFor(() => expect(sent()).toEqual({ seatable: false }));
  });

  it('says who is not to be seated', () => {
    show([student('Tablet', { seatable: false })]);
    expect(screen.getByText('left out of groups')).toBeInTheDocument();
  });
});
