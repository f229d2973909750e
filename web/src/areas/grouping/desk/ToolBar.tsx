// The bar over the floor of the desk.
import { Button } from '../../../ui/Button';
import { Choices, Do } from '../../../ui/fields/Choices';
import * as m from '#messages';
import type { useLens } from '../lens';
import { LensChoice } from '../LensChoice';
import type { useFloor } from '../floor/useFloor';
import type { Desk } from './useDesk';

/** The groups for paper, for a spreadsheet, and as data. */
function Exports({ id }: { id: string }) {
  const formats = [
    ['pdf', m.desk_printPdf()],
    ['csv', m.desk_printCsv()],
    ['json', m.desk_printJson()],
  ] as const;
  return (
    <Choices
      label={m.desk_print()}
      className="border-transparent bg-transparent underline decoration-line underline-offset-4"
    >
      {formats.map(([format, label]) => (
        <Do key={format} href={`/api/staff/groupings/${id}/export/${format}`}>
          {label}
        </Do>
      ))}
      <Do onPress={() => window.print()}>{m.desk_printNow()}</Do>
    </Choices>
  );
}

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
  const what = (step: string | null) => (step === null ? '' : m.floor_undoWhat({ key: step }));
  return (
    <div className="flex flex-wrap items-center gap-x-1 gap-y-1 border-b border-line bg-sheet px-4 py-1 text-sm print:hidden">
      <Button look="quiet" disabled={floor.undo === null} onClick={control.undo} title={what(floor.undo)}>
        {m.common_undo()}
      </Button>
      <Button look="quiet" disabled={floor.redo === null} onClick={control.redo} title={what(floor.redo)}>
        {m.common_redo()}
      </Button>
      <Button look="quiet" onClick={() => control.edit({ kind: 'addTable' })}>
        {m.floor_addTable()}
      </Button>
      <Button look="quiet" onClick={onNumbers}>
        {m.desk_numbers()}
      </Button>
      <Button look="quiet" onClick={onVariants}>
        {m.desk_variants()} {desk.variants.length > 0 && `(${desk.variants.length})`}
      </Button>
      <Exports id={desk.id} />
      <LensChoice lens={lens} className="ms-auto" />
      <Button look="quiet" aria-pressed={asList} onClick={onList}>
        {asList ? m.floor_floorView() : m.floor_listView()}
      </Button>
    </div>
  );
}
