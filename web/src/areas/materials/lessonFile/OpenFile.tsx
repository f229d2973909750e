// A press that opens a file somebody has saved, and what is said where it cannot be.
import { useMutation } from '@tanstack/react-query';
import { useRef } from 'react';
import { isProblem, problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { base64 } from '../bytes';

/** @param props.onFile gets the bytes in base64 */
export function OpenFile({ label, onFile }: { label: string; onFile: (content: string) => Promise<unknown> }) {
  const input = useRef<HTMLInputElement>(null);
  const open = useMutation({ mutationFn: async (file: File) => onFile(await base64(file)) });
  const problem = isProblem(open.error) ? open.error.field('package') : undefined;
  return (
    <div className="mt-2">
      <input
        ref={input}
        type="file"
        accept=".zip"
        aria-label={label}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file !== undefined) open.mutate(file);
          event.target.value = '';
        }}
      />
      <Button look="quiet" className="-ms-2 text-sm" busy={open.isPending} onClick={() => input.current?.click()}>
        {label}
      </Button>
      {open.isPending && <span className="text-sm text-soft">{m.lessonFile_opening()}</span>}
      {open.isError && (
        <p role="alert" className="text-sm font-semibold text-lost">
          {problem ?? problemText(open.error)}
        </p>
      )}
    </div>
  );
}
