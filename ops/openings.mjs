// Every file opens with what it is for: a class with its description, a script or a page with a comment before anything
// but its imports. Tests say it by their names, migrations by their description.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

const aClass = /^(?:(?:final|abstract|readonly) )*(?:class|interface|enum|trait) \w/m;
const saysIt = {
  php: (text) => /^\/\*\*\n/m.test(text.slice(0, text.search(aClass))),
  script: (text) => /^(?:#![^\n]*\n)?\s*(?:(?:import [^;]*;|[A-Z]\w*=[^\n]*)\s*)*(?:\/\/|\/\*|#)/.test(text),
};
const isTest = (file) => /\.(?:test|spec)\.tsx?$|\/tests\/|^app\/migrations\//.test(file);

for (const file of execFileSync('git', ['ls-files', '-co', '--exclude-standard'], { encoding: 'utf8' }).split('\n')) {
  const [kind] = /\.php$/.test(file) ? ['php'] : /\.(?:tsx?|mjs|sh)$|^bin\//.test(file) ? ['script'] : [];
  if (kind === undefined || isTest(file) || /generated/.test(file)) continue;
  const text = readFileSync(file, 'utf8');
  if (kind === 'php' && !aClass.test(text)) continue;
  if (saysIt[kind](text)) continue;
  console.log(`${file}: says nowhere at its beginning what it is for`);
  process.exitCode = 1;
}
