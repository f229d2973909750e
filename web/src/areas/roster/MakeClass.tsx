import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, take } from '../../api/client';
import { useOnce } from '../../api/once';
import { isProblem } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/fields/Field';
import { Sheet } from '../../ui/slips/Sheet';
import { useKept } from '../../ui/useKept';
import * as m from '#messages';
import { ReadingBox, useReading } from './list/Reading';

/** A new class: its name, and its list from anywhere. */
export function MakeClass({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [name, setName, forgetName] = useKept('class');
  /** A class that is there, though its list did not come in at the first try. */
  const [made, setMade] = useState<string | null>(null);
  const reading = useReading(null);
  const navigate = useNavigate();
  const queries = useQueryClient();
  const once = useOnce();
  const make = useMutation({
    mutationFn: async () => {
      const body = { name };
      const id = made ?? (await take(api.POST('/api/staff/classes', { body, headers: once.headers(body) }))).id;
      setMade(id);
      if (reading.something) {
        await take(api.POST('/api/staff/classes/{id}/import', { params: { path: { id } }, body: reading.request }));
      }
      return id;
    },
    onSuccess: async (id) => {
      once.done();
      forgetName();
      reading.forget();
      await queries.invalidateQueries({ queryKey: ['classes'] });
      await navigate(`/classes/${id}`);
    },
  });
  const problem = isProblem(make.error) ? make.error : undefined;
  return (
    <Sheet open={open} onClose={onClose} title={m.classes_makeTitle()} wide>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          make.mutate();
        }}
      >
        <Field
          label={m.classes_name()}
          hint={m.classes_nameHint()}
          value={name}
          onChange={(e) => setName(e.target.value)}
          maxLength={80}
          error={made === null ? (problem?.field('name') ?? problem?.message) : undefined}
        />
        <div className="mt-4">
          <h3 className="font-sans text-sm font-semibold">{m.classes_paste()}</h3>
          <p className="text-sm text-soft">{m.classes_pasteHint()}</p>
          <ReadingBox reading={reading} error={made === null ? undefined : make.error} />
        </div>
        <div className="sticky -bottom-4 -mx-6 -mb-6 bg-sheet px-6 pt-3 pb-6">
          <Button look="main" type="submit" className="w-full" busy={make.isPending}>
            {m.classes_makeWith({ n: reading.seen?.added ?? 0 })}
          </Button>
        </div>
      </form>
    </Sheet>
  );
}
