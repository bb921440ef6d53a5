import { gzipSync } from 'node:zlib';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

/** Writes a compressed twin beside every built script and style, for the server to hand out. */
function compressed(): Plugin {
  let folder = '';
  return {
    name: 'compressed',
    configResolved(config) {
      folder = join(config.build.outDir, 'assets');
    },
    closeBundle() {
      for (const name of readdirSync(folder)) {
        if (/\.(js|css|svg)$/.test(name)) {
          const path = join(folder, name);
          writeFileSync(`${path}.gz`, gzipSync(readFileSync(path), { level: 9 }));
        }
      }
    },
  };
}

export default defineConfig({
  root: 'web',
  base: '/build/',
  plugins: [react(), compressed()],
  build: { outDir: join(import.meta.dirname, 'public/build'), emptyOutDir: true, target: 'es2022', assetsInlineLimit: 0 },
});
