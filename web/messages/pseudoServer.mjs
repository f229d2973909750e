// The server's sentences in the made-up language, for the tests: app/translations/messages+intl-icu.qps.yaml.
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { dump, load } from 'js-yaml';
import { pseudo } from './pseudo.mjs';

const folder = join(import.meta.dirname, '../../app/translations');
const { lists, ...sentences } = load(readFileSync(join(folder, 'messages+intl-icu.en.yaml'), 'utf8'));
writeFileSync(join(folder, 'messages+intl-icu.qps.yaml'), dump({ lists, ...pseudo(sentences) }, { lineWidth: -1 }));
