import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { OrderStrip } from './OrderStrip';
import type { Order, Segment } from './orderMoves';

const segment = (id: string, kind: Segment['kind'], minutes: number, number?: number): Segment =>
  ({
    id,
    kind,
    minutes,
    instructions: '',
    round: number === undefined ? null : { number, groupingId: 'g' },
  }) as Segment;

const order: Order = {
  step: 3,
  spare: 0,
  segments: [segment('b', 'briefing', 10), segment('r', 'round', 25, 1), segment('s', 'shareOut', 15)],
  now: 'r',
  nowSince: 0,
  next: 's',
};

function show(now: Order = order, canGo = true) {
  const put = vi.fn();
  const does = { onShow: vi.fn(), onGo: vi.fn(), put };
  const control = { put, edit: vi.fn(), busy: false };
  render(
    <QueryClientProvider client={new QueryClient()}>
      <OrderStrip
        order={now}
        classId="c"
        control={control}
        shown="r"
        canGo={canGo}
        onShow={does.onShow}
        onGo={does.onGo}
      />
    </QueryClientProvider>,
  );
  return does;
}

describe('the running order', () => {
  it('says what is over, what is now and for how long', () => {
    show();
    expect(screen.getAllByRole('button').map((one) => one.getAttribute('aria-label'))).toEqual([
      'Briefing, 10 minutes, over',
      'Round 1, 25 minutes, now',
      'Share-out, 15 minutes',
    ]);
  });

  it('moves time between neighbours by the arrow keys', () => {
    const { put } = show();
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Between Briefing and Round 1' }), { key: 'ArrowRight' });
    expect(put).toHaveBeenLastCalledWith([
      { id: 'b', kind: 'briefing', minutes: 11 },
      { id: 'r', kind: 'round', minutes: 24 },
      { id: 's', kind: 'shareOut', minutes: 15 },
    ]);
    fireEvent.keyDown(screen.getByRole('slider', { name: 'End of Share-out' }), { key: 'PageDown' });
    expect(put.mock.lastCall?.[0]).toMatchObject([{ minutes: 10 }, { minutes: 25 }, { minutes: 10 }]);
  });

  it('puts a segment elsewhere with Alt and an arrow, and nowhere beyond the ends', () => {
    const { put } = show();
    fireEvent.keyDown(screen.getByRole('button', { name: /^Share-out/ }), { key: 'ArrowLeft', altKey: true });
    expect((put.mock.lastCall?.[0] as { id: string }[]).map((one) => one.id)).toEqual(['b', 's', 'r']);
    put.mockClear();
    fireEvent.keyDown(screen.getByRole('button', { name: /^Share-out/ }), { key: 'ArrowRight', altKey: true });
    expect(put).not.toHaveBeenCalled();
  });

  it('goes to a segment that is not done in groups, unless groups are at work', async () => {
    const { onGo } = show();
    fireEvent.click(screen.getByRole('button', { name: /^Share-out/ }));
    fireEvent.click(await screen.findByRole('button', { name: 'Start this now' }));
    expect(onGo).toHaveBeenCalledExactlyOnceWith('s');
  });

  it('while groups are at work offers no way to go on, and the segment that is now cannot be taken out', async () => {
    show(order, false);
    fireEvent.click(screen.getByRole('button', { name: /^Share-out/ }));
    expect(await screen.findByRole('button', { name: 'Remove' })).toBeInTheDocument();
    expect(screen.queryByRole('button', { name: 'Start this now' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: /^Round 1/ }));
    expect(screen.queryByRole('button', { name: 'Remove' })).toBeNull();
  });
});
