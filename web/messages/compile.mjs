// Compiles a catalogue of ICU messages into functions: node web/messages/compile.mjs [LANGUAGE]
// Paraglide compiles each
// message. We write each into its own file, so that a sentence is bundled with the pages that show it, and leave out
// Paraglide's language detection: each language has its own build.
import { compileProject } from '@inlang/paraglide-js';
import { loadProjectInMemory, newProject } from '@inlang/sdk';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { flatten, icuPlugin, inputTypes } from './icuPlugin.mjs';
import { pseudo } from './pseudo.mjs';

const here = import.meta.dirname;
const language = process.argv[2] ?? process.env.FH_LANGUAGE ?? 'en';
const made = language === 'qps'; // made from English, for the tests
const source = readFileSync(join(here, `${made ? 'en' : language}.json`), 'utf8');
const catalogue = made ? JSON.stringify(pseudo(JSON.parse(source))) : source;
const target = join(here, '../src/messages', language);
const code = ['compile.mjs', 'icuPlugin.mjs', 'pseudo.mjs'].map((file) => readFileSync(join(here, file), 'utf8'));
const digest = createHash('sha256')
  .update([catalogue, ...code].join('\n'))
  .digest('hex');
const digestFile = join(target, 'digest');
if (existsSync(digestFile) && readFileSync(digestFile, 'utf8') === digest) process.exit(0);

// A language the plural rules know: made-up ones count like English.
const rules = made ? 'en' : language;
const project = await loadProjectInMemory({
  blob: await newProject({ settings: { baseLocale: rules, locales: [rules], modules: [], telemetry: 'off' } }),
  providePlugins: [icuPlugin],
});
await project.importFiles({
  pluginKey: icuPlugin.key,
  files: [{ locale: rules, content: new TextEncoder().encode(catalogue) }],
});
const compiled = await compileProject({
  project,
  compilerOptions: { outputStructure: 'message-modules', strategy: ['baseLocale'] },
});
await project.close();

const functions = new Map();
const types = [];
const tree = JSON.parse(catalogue);
for (const [file, text] of Object.entries(compiled)) {
  if (!/^messages\/(?!_index)[^/]+\.js$/.test(file)) continue;
  const sentence = /^const (\w+) = (?:\/\*[^]*?\*\/ )?(\([^]*?\n\};)$/m.exec(text);
  const name = /^export (?:const (\w+) =|\{ \w+ as "(\w+)" \})/m.exec(text);
  const exported = name?.[1] ?? name?.[2];
  if (sentence === null || exported === undefined) throw new Error(`No message in ${file}.`);
  const body = sentence[2].replace(/\/\*[^]*?\*\/ ?/g, '').replace(/i\?\./g, 'i.');
  functions.set(exported, `export const ${exported} = ${body}\n`);
}
for (const [id, text] of flatten(tree)) {
  const inputs = inputTypes(text);
  types.push(`/** ${text.replace(/\*\//g, '*\\/').replace(/\n/g, ' ')} */`);
  types.push(`export const ${id}: (${inputs === '' ? '' : `inputs: { ${inputs} }`}) => string;`);
}

rmSync(target, { recursive: true, force: true });
mkdirSync(target, { recursive: true });
for (const [id, body] of functions) {
  const asks = body.includes('registry.');
  writeFileSync(join(target, `${id}.js`), `${asks ? "import * as registry from './registry.js';\n" : ''}${body}`);
}
writeFileSync(join(target, 'registry.js'), compiled['registry.js']);
writeFileSync(join(target, 'index.js'), [...functions.keys()].map((id) => `export * from './${id}.js';\n`).join(''));
// The same in one file, for the tests: they load them all.
writeFileSync(join(target, 'all.js'), ["import * as registry from './registry.js';\n", ...functions.values()].join(''));
writeFileSync(join(target, 'index.d.ts'), `${types.join('\n')}\n`);
writeFileSync(digestFile, digest);
process.exit(0); // the project's database holds the process open
