import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';
import { groups } from './chunks';

/** The language of this build: each has its own, in a folder of its own. */
const language = process.env.FH_LANGUAGE ?? 'en';
const folderOf = (of: string) => (of === 'en' ? './dist' : `./dist-${of}`);
/** Languages written from right to left; the made-up one stands for them in the tests. */
const rightToLeft = ['ar', 'fa', 'he', 'ur', 'qps'];

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

export default defineConfig(({ isSsrBuild }) => ({
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
    copyPublicDir: isSsrBuild !== true,
    emptyOutDir: true,
    // A browser that does not know it loads the files a little later.
    modulePreload: { polyfill: false },
    target: 'es2020',
    // Keeps logical properties such as inset-inline-start (browsers since 2021), so that pages are mirrored by `dir` alone.
    cssTarget: ['chrome87', 'safari14.1', 'firefox78'],
    // Two front doors: the student's page loads nothing of the teacher's.
    rolldownOptions:
      isSsrBuild === true
        ? {}
        : {
            input: { index: here('./index.html'), student: here('./student.html') },
            output: { codeSplitting: { groups: groups(here('./src')) } },
          },
  },
}));
