// Lays a Brotli form beside every file that is text, once and as small as can be; nginx hands it out as it is.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants } from 'node:zlib';

const language = process.env.FH_LANGUAGE ?? 'en';
const folder = join(import.meta.dirname, language === 'en' ? 'dist' : `dist-${language}`);
for (const name of readdirSync(folder, { recursive: true })) {
  if (!/\.(js|css|svg)$/.test(name)) continue;
  const text = readFileSync(join(folder, name));
  writeFileSync(
    join(folder, `${name}.br`),
    brotliCompressSync(text, {
      params: { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_SIZE_HINT]: text.length },
    }),
  );
}
