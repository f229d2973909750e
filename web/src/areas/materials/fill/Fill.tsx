import { lazy, Suspense, type ComponentType } from 'react';
import type { BlockKind } from '../blocks';
import type { FillProps } from './FillProps';

/** Each comes when a sheet has one. */
const fills: Partial<Record<BlockKind, ComponentType<FillProps>>> = {
  sort: lazy(() => import('./Sort')),
  ticks: lazy(() => import('./Ticks')),
  table: lazy(() => import('./Table')),
  markUp: lazy(() => import('./MarkUp')),
  mend: lazy(() => import('./Mend')),
  choose: lazy(() => import('./Choose')),
  ownPictures: lazy(() => import('./OwnPictures')),
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
