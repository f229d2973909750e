import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { MessagesProvider } from '../../ui/page/messages';
import { SeatingPlan } from './SeatingPlan';
import type { Student } from './list/useStudentActions';

type Patch = (path: string, options: { params: { path: { id: string } }; body: object }) => Promise<unknown>;
const patch = vi.hoisted(() => vi.fn<Patch>());
vi.mock('../../api/client', () => ({ api: { PATCH: patch }, take: (answer: unknown) => answer }));

const student = (name: string, table: string | null, more: Partial<Student> = {}): Student => ({
  id: name.toLowerCase(),
  name,
  table,
  absent: false,
  claimed: false,
  ...more,
});

function show(students: Student[]) {
  const tables = [...new Set(students.flatMap((one) => (one.table == null ? [] : [one.table])))];
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MessagesProvider>
        <SeatingPlan classId="c" students={students} tables={tables} />
      </MessagesProvider>
    </QueryClientProvider>,
  );
}

const sent = () => patch.mock.calls.map(([, { params, body }]) => [params.path.id, body]);

describe('the seating plan', () => {
  beforeEach(() => {
    patch.mockReset();
    patch.mockResolvedValue(undefined);
  });

  it('seats a student at another table with two presses, and takes it back', async () => {
    show([student('Ada', 'Window'), student('Ben', 'Door'), student('Chi', null)]);
    fireEvent.click(screen.getByRole('button', { name: 'Ada' }));
    const slip = within(screen.getByRole('dialog', { name: 'Where does Ada sit?' }));
    expect(slip.getByRole('button', { name: 'Window' })).toBeDisabled();
    fireEvent.click(slip.getByRole('button', { name: 'Door' }));
    await waitFor(() => expect(sent()).toEqual([['ada', { table: 'Door' }]]));
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(sent().at(-1)).toEqual(['ada', { table: 'Window' }]));
  });

  it('makes a table by naming it, and takes somebody from every table', async () => {
    show([student('Ada', 'Window')]);
    fireEvent.click(screen.getByRole('button', { name: 'Ada' }));
    fireEvent.change(screen.getByLabelText('New table'), { target: { value: ' Stove ' } });
    fireEvent.click(screen.getByRole('button', { name: 'Move here' }));
    await waitFor(() => expect(sent()).toEqual([['ada', { table: 'Stove' }]]));
    fireEvent.click(screen.getByRole('button', { name: 'Ada' }));
    fireEvent.click(screen.getByRole('button', { name: 'No table' }));
    await waitFor(() => expect(sent().at(-1)).toEqual(['ada', { table: '' }]));
  });

  it('can be begun from nothing, and leaves out who is not to be seated', () => {
    show([student('Ada', null), student('Ada’s tablet', null, { seatable: false })]);
    expect(screen.getByText(/Nobody has a table yet/)).toBeInTheDocument();
    expect(screen.getAllByRole('button').map((button) => button.textContent)).toEqual(['Ada']);
  });
});
