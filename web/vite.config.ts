import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

export default defineConfig({
  root: here('.'),
  plugins: [react(), tailwindcss()],
  build: {
    outDir: here('./dist'),
    emptyOutDir: true,
    target: 'es2020',
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
