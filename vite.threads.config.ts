import { defineConfig } from 'vite';

/** Threads of the server: each a file of its own beside it, with all that it needs. */
export default defineConfig({
  publicDir: false,
  ssr: { noExternal: true },
  build: {
    ssr: 'src/lib/server/threads/estimate.thread.ts',
    outDir: 'build/threads',
    emptyOutDir: true
  }
});
