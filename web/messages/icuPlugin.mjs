// Reads a catalogue of ICU messages for Paraglide: nested JSON, one file per language. `{"door": {"copy": "Copy link"}}`
// becomes the message `door_copy`. A choice inside a sentence (plural, select) becomes a variant of the whole sentence.
import { parse, TYPE } from '@formatjs/icu-messageformat-parser';

const selectorFor = {
  [TYPE.select]: (value) => ({ declaration: undefined, selector: value }),
  [TYPE.plural]: (value) => ({
    selector: `${value}Plural`,
    declaration: {
      type: 'local-variable',
      name: `${value}Plural`,
      value: {
        type: 'expression',
        arg: { type: 'variable-reference', name: value },
        annotation: { type: 'function-reference', name: 'plural', options: [] },
      },
    },
  }),
};

/** Every way through the choices of a message: `[{ matches: { selector: literal | undefined }, pattern }]`. */
function variants(nodes, counted) {
  let paths = [{ matches: {}, pattern: [] }];
  for (const node of nodes) {
    if (node.type === TYPE.literal) paths = paths.map((path) => append(path, { type: 'text', value: node.value }));
    else if (node.type === TYPE.argument) paths = paths.map((path) => append(path, reference(node.value)));
    else if (node.type === TYPE.pound) paths = paths.map((path) => append(path, reference(counted)));
    else if (node.type === TYPE.select || node.type === TYPE.plural)
      paths = paths.flatMap((path) => choose(path, node, counted));
    else throw new Error(`An ICU form that pages don’t use: ${JSON.stringify(node)}`);
  }
  return paths;
}

const reference = (name) => ({ type: 'expression', arg: { type: 'variable-reference', name } });

const append = (path, part) => {
  const last = path.pattern.at(-1);
  if (part.type === 'text' && last?.type === 'text')
    return { ...path, pattern: [...path.pattern.slice(0, -1), { type: 'text', value: last.value + part.value }] };
  return { ...path, pattern: [...path.pattern, part] };
};

function choose(path, node, counted) {
  return Object.entries(node.options).flatMap(([option, { value }]) => {
    const exact = node.type === TYPE.plural && option.startsWith('=');
    const selector = exact || node.type === TYPE.select ? node.value : selectorFor[TYPE.plural](node.value).selector;
    const literal = option === 'other' ? undefined : exact ? option.slice(1) : option;
    if (selector in path.matches && path.matches[selector] !== literal) return [];
    return variants(value, node.type === TYPE.plural ? node.value : counted).flatMap((inner) => {
      const clash = Object.keys(inner.matches).some(
        (name) => name in path.matches && path.matches[name] !== inner.matches[name],
      );
      return clash
        ? []
        : [
            inner.pattern.reduce(append, {
              matches: { ...path.matches, [selector]: literal, ...inner.matches },
              pattern: path.pattern,
            }),
          ];
    });
  });
}

function inputs(nodes, found = new Map()) {
  for (const node of nodes) {
    if (node.type !== TYPE.literal && node.type !== TYPE.pound) {
      if (!found.has(node.value)) found.set(node.value, new Set());
      if (node.type === TYPE.plural) {
        const options = Object.keys(node.options);
        if (options.some((option) => option.startsWith('='))) found.get(node.value).add('exact');
        if (options.some((option) => option === 'one')) found.get(node.value).add('plural');
      }
      if (node.type === TYPE.select) found.get(node.value).add('exact');
      for (const { value } of Object.values(node.options ?? {})) inputs(value, found);
    }
  }
  return found;
}

/** `{ a: { b: 'text' } }` as `[['a_b', 'text']]`. */
export function flatten(tree, before = '') {
  return Object.entries(tree).flatMap(([key, value]) =>
    typeof value === 'string' ? [[`${before}${key}`, value]] : flatten(value, `${before}${key}_`),
  );
}

export const icuPlugin = {
  key: 'plugin.fresh-huddle.icu',
  importFiles: ({ files }) => {
    const bundles = new Map();
    const messages = [];
    const all = [];
    for (const { locale, content } of files) {
      for (const [id, text] of flatten(JSON.parse(new TextDecoder().decode(content)))) {
        const nodes = parse(text);
        const asked = [...inputs(nodes)];
        const locals = asked
          .filter(([, kinds]) => kinds.has('plural'))
          .map(([name]) => selectorFor[TYPE.plural](name).declaration);
        const selectors = asked.flatMap(([name, kinds]) => [
          ...(kinds.has('exact') ? [name] : []),
          ...(kinds.has('plural') ? [`${name}Plural`] : []),
        ]);
        if (!bundles.has(id))
          bundles.set(id, {
            id,
            declarations: [...asked.map(([name]) => ({ type: 'input-variable', name })), ...locals],
          });
        messages.push({
          bundleId: id,
          locale,
          selectors: selectors.map((name) => ({ type: 'variable-reference', name })),
        });
        for (const { matches, pattern } of variants(nodes, undefined))
          all.push({
            messageBundleId: id,
            messageLocale: locale,
            matches: selectors.map((key) =>
              matches[key] === undefined
                ? { type: 'catchall-match', key }
                : { type: 'literal-match', key, value: matches[key] },
            ),
            pattern,
          });
      }
    }
    return { bundles: [...bundles.values()], messages, variants: all };
  },
};

/** What a message is given, as TypeScript: counted values are numbers, others text or numbers. */
export function inputTypes(text) {
  const types = new Map();
  const visit = (nodes) => {
    for (const node of nodes) {
      if (node.type === TYPE.literal || node.type === TYPE.pound) continue;
      if (node.type === TYPE.plural) types.set(node.value, 'number');
      else if (node.type === TYPE.select) types.set(node.value, 'string');
      else if (!types.has(node.value)) types.set(node.value, 'string | number');
      for (const { value } of Object.values(node.options ?? {})) visit(value);
    }
  };
  visit(parse(text));
  return [...types].map(([name, type]) => `${name}: ${type}`).join('; ');
}
