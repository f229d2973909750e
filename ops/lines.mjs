// No line of code is longer than 120 characters: node ops/lines.mjs
// What a string holds doesn't count, nor does the name of a PHP test, which is a sentence.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

const longest = 120;
const isExempt = /generated\.ts$|config\/reference\.php$/;
const withoutStrings = (line) => line.replace(/'(?:[^'\\]|\\.)*'|"(?:[^"\\]|\\.)*"|`(?:[^`\\]|\\.)*`/g, "''");
const files = execFileSync('git', ['ls-files', '*.php', '*.ts', '*.tsx', '*.mjs', '*.js', '*.css', '*.sh', 'bin/*'], {
  encoding: 'utf8',
});
for (const file of files.split('\n').filter((name) => name !== '' && !isExempt.test(name)))
  readFileSync(file, 'utf8')
    .split('\n')
    .forEach((line, i) => {
      if ([...line].length <= longest || /function test_/.test(line)) return;
      if (/^\s*['"`]/.test(line) || [...withoutStrings(line)].length <= longest) return;
      console.log(`${file}:${i + 1}: ${[...line].length} characters`);
      process.exitCode = 1;
    });
