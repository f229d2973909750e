import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { StudentMore } from './StudentMore';
import type { Student } from './useStudentActions';

function show(more: Partial<Student> = {}) {
  const does = { onEdit: vi.fn(), onFree: vi.fn(), onNewPass: vi.fn(), onRemove: vi.fn(), onClose: vi.fn() };
  const ada: Student = { id: 'ada', name: 'Ada', absent: false, claimed: false, schoolId: 'N7', ...more };
  render(<StudentMore student={ada} at={new DOMRect(0, 0, 80, 20)} {...does} />);
  return does;
}

describe('more about a student', () => {
  it('a second device, or the teacher’s own, is marked as not to be seated', () => {
    const does = show();
    fireEvent.click(screen.getByRole('button', { name: 'Leave out of groups' }));
    expect(does.onEdit).toHaveBeenCalledExactlyOnceWith({ id: 'ada', seatable: false });
    expect(does.onClose).toHaveBeenCalledOnce();
  });

  it('and can be seated again', () => {
    const does = show({ seatable: false });
    fireEvent.click(screen.getByRole('button', { name: 'Include in groups' }));
    expect(does.onEdit).toHaveBeenCalledExactlyOnceWith({ id: 'ada', seatable: true });
  });

  it('keeps the number at school only where it has changed', () => {
    const does = show();
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(does.onEdit).not.toHaveBeenCalled();
    fireEvent.change(screen.getByLabelText('Student number'), { target: { value: 'N8' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(does.onEdit).toHaveBeenCalledExactlyOnceWith({ id: 'ada', schoolId: 'N8' });
  });

  it('a lost slip opens nothing once there is another pass', () => {
    const does = show();
    fireEvent.click(screen.getByRole('button', { name: 'New personal code for Ada' }));
    expect(does.onNewPass).toHaveBeenCalledOnce();
    expect(does.onClose).toHaveBeenCalledOnce();
  });

  it('a name that a device has chosen can be freed, and no other', () => {
    show();
    expect(screen.queryByRole('button', { name: /Let them join again/ })).not.toBeInTheDocument();
  });

  it('frees and removes', () => {
    const does = show({ claimed: true });
    fireEvent.click(screen.getByRole('button', { name: 'Let Ada join again on another device' }));
    fireEvent.click(screen.getByRole('button', { name: 'Remove Ada' }));
    expect([does.onFree.mock.calls.length, does.onRemove.mock.calls.length]).toEqual([1, 1]);
  });
});
