import { Button } from '../../../ui/Button';
import { Choices, Do } from '../../../ui/Choices';
import { words } from '../../../words';
import type { useLens } from '../lens';
import { LensChoice } from '../LensChoice';
import type { useFloor } from '../useFloor';
import type { Desk } from './useDesk';

/** What is done to the floor as a whole. */
export function ToolBar({
  desk,
  control,
  asList,
  onList,
  lens,
  onVariants,
  onNumbers,
}: {
  desk: Desk;
  control: ReturnType<typeof useFloor>;
  asList: boolean;
  onList: () => void;
  lens: ReturnType<typeof useLens>;
  onVariants: () => void;
  onNumbers: () => void;
}) {
  const { floor } = desk;
  const what = (step: string | null) => (step === null ? '' : (words.floor.undoWhat[step] ?? ''));
  const exportTo = (format: string) => `/api/staff/groupings/${desk.id}/export/${format}`;
  return (
    <div className="flex flex-wrap items-center gap-x-1 gap-y-1 border-b border-line bg-sheet px-4 py-1 text-sm print:hidden">
      <Button look="quiet" disabled={floor.undo === null} onClick={control.undo} title={what(floor.undo)}>
        {words.common.undo}
      </Button>
      <Button look="quiet" disabled={floor.redo === null} onClick={control.redo} title={what(floor.redo)}>
        {words.common.redo}
      </Button>
      <Button look="quiet" onClick={() => control.edit({ kind: 'addTable' })}>
        {words.floor.addTable}
      </Button>
      <Button look="quiet" onClick={onNumbers}>
        {words.desk.numbers}
      </Button>
      <Button look="quiet" onClick={onVariants}>
        {words.desk.variants} {desk.variants.length > 0 && `(${desk.variants.length})`}
      </Button>
      <Choices
        label={words.desk.print}
        className="border-transparent bg-transparent underline decoration-line underline-offset-4"
      >
        {(
          [
            ['pdf', words.desk.printPdf],
            ['csv', words.desk.printCsv],
            ['json', words.desk.printJson],
          ] as const
        ).map(([format, label]) => (
          <Do key={format} href={exportTo(format)}>
            {label}
          </Do>
        ))}
        <Do onPress={() => window.print()}>{words.desk.printNow}</Do>
      </Choices>
      <LensChoice lens={lens} className="ml-auto" />
      <Button look="quiet" aria-pressed={asList} onClick={onList}>
        {asList ? words.floor.floorView : words.floor.listView}
      </Button>
    </div>
  );
}
