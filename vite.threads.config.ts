import { defineConfig } from 'vite';

/** Threads of the server: each a file of its own beside it, with all that it needs. */
export default defineConfig({
  publicDir: false,
  // The writer of sheets reads its own files from where it is installed.
  ssr: { noExternal: true, external: ['pdfmake', '@libsql/client', 'sharp'] },
  build: {
    ssr: true,
    rollupOptions: {
      input: ['backup', 'camera', 'estimate', 'pdf', 'table', 'archive'].map(
        (name) => `src/lib/server/threads/${name}.thread.ts`
      )
    },
    outDir: 'build/threads',
    emptyOutDir: true
  }
});
