import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

/** The language of this build: each has its own, in a folder of its own. */
const language = process.env.FH_LANGUAGE ?? 'en';
const folderOf = (of: string) => (of === 'en' ? './dist' : `./dist-${of}`);
/** Languages written from right to left; the made-up one stands for them in the tests. */
const rightToLeft = ['ar', 'fa', 'he', 'ur', 'qps'];

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

export default defineConfig({
  root: here('.'),
  plugins: [
    react(),
    tailwindcss(),
    {
      name: 'language of the page',
      transformIndexHtml: (html) =>
        html.replace(
          '<html lang="en"',
          `<html lang="${language}"${rightToLeft.includes(language) ? ' dir="rtl"' : ''}`,
        ),
    },
  ],
  resolve: { alias: { '#messages': here(`./src/messages/${language}/index.js`) } },
  build: {
    outDir: here(folderOf(language)),
    emptyOutDir: true,
    target: 'es2020',
    // Keeps logical properties such as inset-inline-start (browsers since 2021), so that pages are mirrored by `dir` alone.
    cssTarget: ['chrome87', 'safari14.1', 'firefox78'],
    // Two front doors: the student's page loads nothing of the teacher's.
    rolldownOptions: {
      input: { index: here('./index.html'), student: here('./student.html') },
      // By itself, so that a page can ask for it before it knows what else it needs (prerender.mjs).
      output: {
        codeSplitting: {
          groups: [
            { name: 'react', test: /node_modules[\\/](react|react-dom|scheduler)[\\/]/ },
            // What a student's page and the teacher's lesson both need: in many small pieces it would weigh more for the student.
            {
              name: 'both',
              test: /(core[\\/]data[\\/]marks\.json|src[\\/](ui[\\/](Sign|marks|Duration|roomWindow|lazily)\.|api[\\/]stream\.|areas[\\/]materials[\\/](answers|media|blocks|fill[\\/](ReadingBlock|Fill))\.))/,
              includeDependenciesRecursively: false,
            },
          ],
        },
      },
    },
  },
});
