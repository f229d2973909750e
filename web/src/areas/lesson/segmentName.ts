import * as m from '#messages';
import type { Schema } from '../../api/client';

/** What a part of the running order is called: “Briefing”, “Round 2”. */
export function segmentName(kind: Schema['SegmentKind'], number: number | null): string {
  return number === null ? m.order_kind({ key: kind }) : m.order_round({ number });
}
