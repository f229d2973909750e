import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Follower } from './follower';

type Ask = (path: string) => Promise<unknown>;
const get = vi.hoisted(() => vi.fn<Ask>());
vi.mock('../../../api/client', () => ({ api: { GET: get }, take: (answer: unknown) => answer }));

const whole = (seq: number, filled: number) => ({
  seq,
  round: { id: 'r' },
  title: 'Tides',
  signals: [{ filled }],
  visits: [],
});
const part = (seq: number, filled: number) => ({ seq, signals: [{ filled }], visits: [] });

describe('a lesson that is followed', () => {
  let queries: QueryClient;
  let fetchWhole: ReturnType<typeof vi.fn<() => Promise<unknown>>>;
  let follower: Follower;
  let stop: () => void;

  beforeEach(async () => {
    vi.useFakeTimers();
    get.mockReset();
    queries = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
    fetchWhole = vi.fn<() => Promise<unknown>>(() => Promise.resolve(whole(7, 0)));
    stop = new QueryObserver(queries, { queryKey: ['lesson', 'l'], queryFn: fetchWhole }).subscribe(() => undefined);
    await vi.advanceTimersByTimeAsync(1);
    follower = new Follower(queries, 'l');
  });
  afterEach(() => {
    follower.stop();
    stop();
    vi.useRealTimers();
  });

  const shown = () => queries.getQueryData(['lesson', 'l']);

  it('asks only how groups stand when somebody has written, once for all that write at the time', async () => {
    get.mockResolvedValue(part(7, 3));
    for (let i = 0; i < 20; ++i) follower.lookLater('r');
    await vi.advanceTimersByTimeAsync(2_500);
    expect(get.mock.calls.map(([path]) => path)).toEqual(['/api/staff/rounds/{id}/signals']);
    expect(shown()).toEqual(whole(7, 3));
    expect(fetchWhole).toHaveBeenCalledTimes(1);
  });

  it('is asked for whole where something has happened in it since', async () => {
    get.mockResolvedValue(part(8, 3));
    fetchWhole.mockResolvedValue(whole(8, 3));
    follower.lookLater('r');
    await vi.advanceTimersByTimeAsync(2_700);
    expect(fetchWhole).toHaveBeenCalledTimes(2);
    expect(shown()).toEqual(whole(8, 3));
  });

  it('is asked for again where it came whole meanwhile: which of both is newer can’t be told', async () => {
    let answer: (value: unknown) => void = () => undefined;
    get.mockReturnValue(
      new Promise((resolve) => {
        answer = resolve;
      }),
    );
    follower.lookLater('r');
    await vi.advanceTimersByTimeAsync(2_500);
    fetchWhole.mockResolvedValue(whole(7, 4));
    await queries.invalidateQueries({ queryKey: ['lesson', 'l'] });
    answer(part(7, 3));
    await vi.advanceTimersByTimeAsync(200);
    expect(fetchWhole).toHaveBeenCalledTimes(3);
    expect(shown()).toEqual(whole(7, 4));
  });

  it('leaves another round alone that has been turned to meanwhile', async () => {
    get.mockResolvedValue(part(7, 3));
    follower.lookLater('s');
    await vi.advanceTimersByTimeAsync(2_700);
    expect(shown()).toEqual(whole(7, 0));
  });

  it('is asked for whole where how groups stand could not be had', async () => {
    get.mockRejectedValue(new Error('down'));
    follower.lookLater('r');
    await vi.advanceTimersByTimeAsync(2_700);
    expect(fetchWhole).toHaveBeenCalledTimes(2);
  });
});
