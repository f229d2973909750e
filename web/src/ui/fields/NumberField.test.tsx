import { act, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ApiProblem } from '../../api/problem';
import { NumberField } from './NumberField';

describe('a number that is saved as it is typed', () => {
  const save = vi.fn<(value: number) => Promise<unknown>>();
  beforeEach(() => {
    vi.useFakeTimers();
    save.mockReset().mockResolvedValue(undefined);
  });
  afterEach(() => {
    vi.useRealTimers();
  });
  const field = () => screen.getByRole<HTMLInputElement>('spinbutton');
  const shown = (value: number) => <NumberField label="Minutes" value={value} min={5} max={600} onSave={save} />;
  const type = (text: string) => {
    fireEvent.focus(field());
    fireEvent.change(field(), { target: { value: text } });
  };
  const wait = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms));

  it('is saved after a pause, and when the page goes away in the middle of it', async () => {
    render(shown(50));
    type('45');
    expect(save).not.toHaveBeenCalled();
    await wait(800);
    expect(save).toHaveBeenCalledWith(45);
    type('40');
    act(() => void window.dispatchEvent(new Event('pagehide')));
    expect(save).toHaveBeenLastCalledWith(40);
    expect(save).toHaveBeenCalledTimes(2);
  });

  it('that may be half typed is not judged before the field is left', async () => {
    save.mockRejectedValue(new ApiProblem(422, 'Between 5 and 600 minutes.'));
    render(shown(50));
    type('4');
    await wait(2_000);
    expect(save).not.toHaveBeenCalled();
    fireEvent.blur(field());
    await wait(0);
    expect(screen.getByText('Between 5 and 600 minutes.')).toBeInTheDocument();
    expect(field().value).toBe('4');
  });

  it('is not changed under the hand by what comes from the server', async () => {
    const { rerender } = render(shown(50));
    type('15');
    await wait(800);
    fireEvent.change(field(), { target: { value: '155' } });
    rerender(shown(15));
    expect(field().value).toBe('155');
    await wait(800);
    expect(save).toHaveBeenLastCalledWith(155);
    fireEvent.blur(field());
    rerender(shown(30));
    expect(field().value).toBe('30');
  });
});
