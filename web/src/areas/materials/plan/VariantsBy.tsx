// Variants by what the class list says of students.
import type { Schema } from '../../../api/client';
import { Choice } from '../../../ui/fields/Choice';
import * as m from '#messages';

type Row = Schema['RowView'];
type By = Schema['ByAttribute'];

/** More values than this are no levels but names or numbers. */
const mostValues = 12;

/** What the class list says that variants could go by, with its values in order. */
export function attributesOf(students: Pick<Schema['SeatedStudent'], 'attributes'>[]): Map<string, string[]> {
  const values = new Map<string, Set<string>>();
  for (const { name, value } of students.flatMap((student) => student.attributes))
    values.set(name, (values.get(name) ?? new Set()).add(value));
  return new Map(
    [...values]
      .filter(([, seen]) => seen.size > 1 && seen.size <= mostValues)
      .map(([name, seen]) => [name, [...seen].sort(new Intl.Collator(undefined, { numeric: true }).compare)]),
  );
}

/**
 * To begin with: the variant that is called like the value, else the one at its place; the plain form where there is
 * none.
 */
export function firstGuess(attribute: string, values: string[], variants: Row['variants']): By {
  const called = (value: string) =>
    variants.find((one) => one.name.trim().toLowerCase() === value.trim().toLowerCase())?.id;
  return {
    attribute,
    values: values.map((value, n) => ({ value, variant: called(value) ?? variants[n]?.id ?? '' })),
  };
}

/** Whether variants go by groups or by what the class list says of students. */
export function ByWhat({
  row,
  attributes,
  onChange,
}: {
  row: Row;
  attributes: Map<string, string[]>;
  onChange: (by: By | null) => void;
}) {
  const names = [...new Set([...attributes.keys(), ...(row.by == null ? [] : [row.by.attribute])])];
  if (names.length === 0) return null;
  return (
    <Choice
      hidden
      label={m.edit_byWhatOf({ title: row.title })}
      className="mt-1 font-normal"
      value={row.by?.attribute ?? ''}
      options={[
        { value: '', label: m.edit_byGroup() },
        ...names.map((name) => ({ value: name, label: m.edit_byAttribute({ name }) })),
      ]}
      onChange={(name) => onChange(name === '' ? null : firstGuess(name, attributes.get(name) ?? [], row.variants))}
    />
  );
}

/** Which variant students get of whom the class list says this or that. */
export function ByValue({
  row,
  by,
  attributes,
  onChange,
}: {
  row: Row;
  by: By;
  attributes: Map<string, string[]>;
  onChange: (by: By) => void;
}) {
  const values = [...new Set([...(attributes.get(by.attribute) ?? []), ...by.values.map((one) => one.value)])];
  return (
    <div className="mt-2 w-64 border-s-4 border-ink ps-2">
      <p className="text-xs text-soft">{m.edit_byLead()}</p>
      {values.map((value) => (
        <div key={value} className="mt-1 flex items-center gap-2">
          <span aria-hidden="true" className="min-w-0 flex-1 wrap-break-word">
            {m.edit_valueOf({ name: by.attribute, value })}
          </span>
          <Choice
            hidden
            label={m.edit_variantOf({ title: row.title, group: m.edit_valueOf({ name: by.attribute, value }) })}
            className="w-36"
            value={by.values.find((one) => one.value === value)?.variant ?? null}
            options={[
              { value: null, label: m.edit_asGroup() },
              { value: '', label: m.edit_plain() },
              ...row.variants.map((variant) => ({ value: variant.id, label: variant.name })),
            ]}
            onChange={(variant) =>
              onChange({
                ...by,
                values: [
                  ...by.values.filter((one) => one.value !== value),
                  ...(variant === null ? [] : [{ value, variant }]),
                ],
              })
            }
          />
        </div>
      ))}
    </div>
  );
}
