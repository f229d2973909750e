import { act, fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { TableActions } from './TableActions';

const group = { id: 'q', name: 'Quayside', mark: 0, students: [] } as unknown as Parameters<
  typeof TableActions
>[0]['group'];

function show() {
  const does = { onEdit: vi.fn(), onClose: vi.fn() };
  render(
    <>
      <button type="button">Elsewhere</button>
      <TableActions group={group} at={new DOMRect(10, 10, 80, 30)} {...does} />
    </>,
  );
  return { ...does, name: screen.getByLabelText('Group name') };
}

const upstream = { kind: 'rename', group: 'q', name: 'Upstream' };

describe('the name of a table, typed on a slip beside it', () => {
  it('is kept by Save', () => {
    const { name, onEdit, onClose } = show();
    fireEvent.change(name, { target: { value: 'Upstream' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(onEdit).toHaveBeenCalledExactlyOnceWith(upstream);
    expect(onClose).toHaveBeenCalledOnce();
  });

  it('is kept where the focus is taken to something else', () => {
    const { name, onEdit, onClose } = show();
    fireEvent.change(name, { target: { value: 'Upstream' } });
    act(() => screen.getByText('Elsewhere').focus());
    expect(onEdit).toHaveBeenCalledExactlyOnceWith(upstream);
    expect(onClose).toHaveBeenCalledOnce();
  });

  it('is given up by Escape', () => {
    const { name, onEdit, onClose } = show();
    fireEvent.change(name, { target: { value: 'Upstream' } });
    fireEvent.keyDown(name, { key: 'Escape' });
    expect(onClose).toHaveBeenCalledOnce();
    expect(onEdit).not.toHaveBeenCalled();
  });

  it.each(['', '  ', 'Quayside'])('stays what it was where “%s” is left behind', (typed) => {
    const { name, onEdit, onClose } = show();
    fireEvent.change(name, { target: { value: typed } });
    act(() => screen.getByText('Elsewhere').focus());
    expect(onClose).toHaveBeenCalledOnce();
    expect(onEdit).not.toHaveBeenCalled();
  });
});
