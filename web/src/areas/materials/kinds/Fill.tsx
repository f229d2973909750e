import { Suspense, type ComponentType } from 'react';
import { lazily } from '../../../ui/later/lazily';
import type { BlockKind } from '../blocks';
import type { FillProps } from './FillProps';

/** Each comes when a sheet has one. */
const fills: Partial<Record<BlockKind, ComponentType<FillProps>>> = {
  number: lazily(() => import('./Number')),
  sort: lazily(() => import('./Sort')),
  ticks: lazily(() => import('./Ticks')),
  table: lazily(() => import('./Table')),
  markUp: lazily(() => import('./MarkUp')),
  mend: lazily(() => import('./Mend')),
  choose: lazily(() => import('./Choose')),
  ownPictures: lazily(() => import('./pictures/OwnPictures')),
};

/** A slot that holds things, to be filled or only shown. */
export function Fill(props: FillProps) {
  const Kind = fills[props.block.kind];
  if (Kind === undefined) return null;
  return (
    <Suspense fallback={<p className="min-h-16" />}>
      <Kind {...props} />
    </Suspense>
  );
}
