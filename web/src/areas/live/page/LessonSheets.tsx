// What lies over a lesson's page while it is needed; each loaded when it is first opened.
import { Suspense } from 'react';
import { part } from '../../../ui/later/lazily';
import { lessonKeys } from '../../../ui/keys/shortcuts';
import type { LessonDesk } from './useLessonDesk';

const AsStudent = part(
  () => import('../AsStudent'),
  (file) => file.AsStudent,
);
const FillRounds = part(
  () => import('../../lesson/FillRounds'),
  (file) => file.FillRounds,
);
const KeyList = part(
  () => import('../../../ui/keys/KeyList'),
  (file) => file.KeyList,
);
const Log = part(
  () => import('../Log'),
  (file) => file.Log,
);
const MergeSheet = part(
  () => import('../floor/SplitSheet'),
  (file) => file.MergeSheet,
);
const SplitSheet = part(
  () => import('../floor/SplitSheet'),
  (file) => file.SplitSheet,
);

export function LessonSheets({ desk: { lesson, control, sheet, setSheet } }: { desk: LessonDesk }) {
  const close = () => setSheet(null);
  return (
    <Suspense fallback={null}>
      {sheet?.kind === 'fillRounds' && <FillRounds lesson={lesson} open onClose={close} />}
      {sheet?.kind === 'log' && <Log lesson={lesson} open onClose={close} />}
      {sheet?.kind === 'split' && (
        <SplitSheet lesson={lesson} group={sheet.group} onEdit={control.edit} onClose={close} />
      )}
      {sheet?.kind === 'merge' && (
        <MergeSheet lesson={lesson} group={sheet.group} onEdit={control.edit} onClose={close} />
      )}
      {sheet?.kind === 'keys' && <KeyList open onClose={close} keys={lessonKeys()} />}
      {sheet?.kind === 'asStudent' && <AsStudent lesson={lesson} first={sheet.student ?? ''} onClose={close} />}
    </Suspense>
  );
}
