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

const production = '../node_modules/react-router/dist/production/index.mjs';

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
  resolve: {
    alias: [
      { find: '#messages', replacement: here(`./src/messages/${language}/index.js`) },
      // The package names only its development build, which carries warnings for developers.
      ...(isSsrBuild === true ? [] : [{ find: /^react-router$/, replacement: here(production) }]),
    ],
  },
  build: {
    outDir: here(folderOf(language)),
    copyPublicDir: isSsrBuild !== true,
    emptyOutDir: true,
    // A browser that does not know it loads the files a little later.
    modulePreload: { polyfill: false },
    // A little smaller than what Vite does by itself; the made-up language of the tests does without.
    minify: isSsrBuild === true ? false : language === 'qps' || 'terser',
    terserOptions: { compress: { passes: 3 }, module: true },
    // Phones of 2015 that have had their last update.
    target: ['chrome91', 'safari15', 'firefox91'],
    // Keeps logical properties such as inset-inline-start (browsers since 2021), so that pages are mirrored by `dir`
    // alone.
    cssTarget: ['chrome87', 'safari14.1', 'firefox78'],
    // Two front doors: the student's page loads nothing of the teacher's.
    rolldownOptions:
      isSsrBuild === true
        ? {}
        : {
            input: { index: here('./index.html'), student: here('./student.html') },
            output: {
              codeSplitting: { groups: groups(here('./src')) },
              // Every page names some fifty files that may be needed later: a character less of each.
              chunkFileNames: 'assets/[name]-[hash:7].js',
            },
          },
  },
}));
