import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { MethodPanel } from './MethodPanel';
import { whole, type Settings } from './useDesk';
import { choose } from '../../../ui/fields/choose.testing';
import * as m from '#messages';

function show(settings: Partial<Settings> = {}) {
  const onSet = vi.fn();
  render(<MethodPanel settings={{ ...whole({}), ...settings }} onSet={onSet} />);
  return onSet;
}

describe('the way of grouping', () => {
  it('is chosen in words', async () => {
    const onSet = show();
    await choose('How to make groups', m.desk_methods({ key: 'rotation' }));
    expect(onSet).toHaveBeenLastCalledWith({ method: 'rotation' });
  });

  it('asks for how many only where that is hers to say', () => {
    show({ method: 'byTable' });
    expect(screen.queryByLabelText('How many')).not.toBeInTheDocument();
    expect(screen.getByText('One group for each table on the class list.')).toBeInTheDocument();
  });

  it('takes a number when it is typed to the end, and no number that cannot be', () => {
    const onSet = show({ groups: 6 });
    const field = screen.getByLabelText('How many');
    fireEvent.change(field, { target: { value: '1' } });
    fireEvent.change(field, { target: { value: '12' } });
    expect(onSet).not.toHaveBeenCalled();
    fireEvent.keyDown(field, { key: 'Enter' });
    expect(onSet).toHaveBeenCalledExactlyOnceWith({ groups: 12 });
    for (const wrong of ['0', '401', '-3', '']) {
      fireEvent.change(field, { target: { value: wrong } });
      fireEvent.blur(field);
      expect(field).toHaveValue(6);
    }
    expect(onSet).toHaveBeenCalledOnce();
  });

  it('by size, says what becomes of those left over', async () => {
    const onSet = show({ shape: 'size' });
    await choose('Students left over', 'make smaller groups');
    expect(onSet).toHaveBeenLastCalledWith({ remainder: 'smaller' });
  });

  it('by given sizes, reads them however they are written', () => {
    const onSet = show({ shape: 'sizes', sizes: [5, 5, 4] });
    const field = screen.getByLabelText('Size of each group');
    expect(field).toHaveValue('5, 5, 4');
    fireEvent.change(field, { target: { value: '4;4  and 3' } });
    fireEvent.blur(field);
    expect(onSet).toHaveBeenLastCalledWith({ sizes: [4, 4, 3] });
  });

  it('takes the topics of a jigsaw one a line, each once', () => {
    const onSet = show({ method: 'jigsaw' });
    const field = screen.getByLabelText('Topics, one per line');
    fireEvent.change(field, { target: { value: 'rainfall\n\n heights \nrainfall' } });
    fireEvent.blur(field);
    expect(onSet).toHaveBeenLastCalledWith({ topics: ['rainfall', 'heights'] });
  });

  it('takes the rounds of a rotation', () => {
    const onSet = show({ method: 'rotation', rounds: 3 });
    const field = screen.getByRole('spinbutton', { name: 'Rounds' });
    fireEvent.change(field, { target: { value: '5' } });
    fireEvent.blur(field);
    expect(onSet).toHaveBeenLastCalledWith({ rounds: 5 });
  });
});
