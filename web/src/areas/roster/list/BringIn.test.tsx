import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schema } from '../../../api/client';
import { MessagesProvider } from '../../../ui/page/messages';
import { BringIn } from './BringIn';
import { choose } from '../../../ui/fields/choose.testing';

type Request = Schema['ImportRequest'];
const post = vi.hoisted(() => vi.fn<(path: string, options: { body: Request }) => Promise<unknown>>());
vi.mock('../../../api/client', () => ({ api: { POST: post }, take: (answer: unknown) => answer }));

const preview: Schema['ImportView'] = {
  columns: [
    { heading: 'Name', kind: 'name', samples: ['Ada'] },
    { heading: 'Set', kind: 'attribute', samples: ['2'] },
  ],
  heading: true,
  added: 1,
  changed: 1,
  same: 2,
  refused: 1,
  lines: [
    { line: 2, shown: 'Ada · 2', name: 'Ada', fate: 'added', changes: [], message: '' },
    { line: 3, shown: 'Ben · 3', name: 'Ben', fate: 'changed', changes: ['Set: 2 → 3'], message: '' },
    { line: 4, shown: '12345', name: '', fate: 'refused', changes: [], message: 'No letters in it.' },
  ],
  packageClasses: [],
};

function show() {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { staleTime: 60_000 } } })}>
      <MessagesProvider>
        <BringIn classId="c" main={false} />
      </MessagesProvider>
    </QueryClientProvider>,
  );
  fireEvent.change(screen.getByLabelText('Paste here'), { target: { value: 'Name;Set\nAda;2\nBen;3\n12345;\n' } });
}

const asked = (path: string) => post.mock.calls.filter(([to]) => to === path).map(([, options]) => options.body);
const toPreview = '/api/staff/classes/{id}/import/preview';
const toImport = '/api/staff/classes/{id}/import';

describe('bringing in a list', () => {
  beforeEach(() => {
    post.mockReset();
    post.mockResolvedValue(preview);
  });

  it('shows what would happen first, what was refused on top', async () => {
    show();
    expect(await screen.findByRole('button', { name: 'Add 1 student and update 1' })).toBeEnabled();
    expect(screen.getByText('2 unchanged, 1 skipped')).toBeInTheDocument();
    const rows = screen.getAllByRole('row').map((row) => row.textContent);
    expect(rows).toEqual(['412345skippedNo letters in it.', '3BenchangedSet: 2 → 3', '2Adanew']);
    expect(asked(toImport)).toEqual([]);
  });

  it('asks again with what the teacher says a column holds', async () => {
    show();
    await screen.findByLabelText('Match the columns 2');
    await choose('Match the columns 2', 'Table');
    await waitFor(() =>
      expect(
        asked(toPreview)
          .at(-1)
          ?.columns?.map((column) => column.kind),
      ).toEqual(['name', 'table']),
    );
    fireEvent.click(screen.getByLabelText('The first line is a heading'));
    await waitFor(() => expect(asked(toPreview).at(-1)?.heading).toBe(false));
  });

  it('asks again for the same list after it was brought in', async () => {
    // As the server does: what has been brought in is there from then on, whenever it is asked.
    let brought = false;
    post.mockImplementation((path) => {
      const answer = brought ? { ...preview, added: 0, changed: 0, same: 4 } : preview;
      brought ||= path === toImport;
      return Promise.resolve(answer);
    });
    show();
    fireEvent.click(await screen.findByRole('button', { name: 'Add 1 student and update 1' }));
    await waitFor(() => expect(screen.getByLabelText('Paste here')).toHaveValue('12345'));
    fireEvent.change(screen.getByLabelText('Paste here'), { target: { value: 'Name;Set\nAda;2\nBen;3\n12345;\n' } });
    expect(await screen.findByText('4 unchanged, 1 skipped')).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'Nothing to import' })).toBeDisabled();
  });

  it('keeps what was refused, so that it can be put right', async () => {
    show();
    fireEvent.click(await screen.findByRole('button', { name: 'Add 1 student and update 1' }));
    await waitFor(() => expect(screen.getByLabelText('Paste here')).toHaveValue('12345'));
    expect(await screen.findByText('1 student added and 1 updated.')).toBeInTheDocument();
    expect(asked(toImport)).toHaveLength(1);
  });

  it('has nothing to do where everything is there already', async () => {
    post.mockResolvedValue({ ...preview, added: 0, changed: 0, lines: [] });
    show();
    expect(await screen.findByRole('button', { name: 'Nothing to import' })).toBeDisabled();
  });
});
