import { gzipSync } from 'node:zlib';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import babel from '@rolldown/plugin-babel';
import react, { reactCompilerPreset } from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

const base = '/build/';
const worker = 'service-worker';

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

/** Tells the service worker what was built, so that it keeps just that, and changes whenever that does. */
function listed(): Plugin {
  return {
    name: 'listed',
    generateBundle(_, bundle) {
      const script = bundle[`${worker}.js`];
      if (script?.type !== 'chunk') throw new Error('the service worker was not built');
      const files = Object.keys(bundle)
        .filter((name) => name.startsWith('assets/'))
        .map((name) => base + name)
        .sort();
      script.code = `const builtFiles=${JSON.stringify(files)};${script.code}`;
    },
  };
}

/** Remembers what a component drew until what it depends on changes: a key in one line draws that line, not the page. */
const compiler = reactCompilerPreset();
compiler.rolldown.filter.id = { exclude: [/node_modules/] };

export default defineConfig({
  root: 'web',
  base,
  plugins: [react(), babel({ presets: [compiler] }), listed(), compressed()],
  build: {
    outDir: join(import.meta.dirname, 'public/build'),
    emptyOutDir: true,
    target: 'es2022',
    assetsInlineLimit: 0,
    rolldownOptions: {
      input: {
        main: join(import.meta.dirname, 'web/index.html'),
        [worker]: join(import.meta.dirname, 'web/offline/serviceWorker.ts'),
      },
      output: {
        // its address must stay the same, or it would never be replaced
        entryFileNames: (chunk) => (chunk.name === worker ? '[name].js' : 'assets/[name]-[hash].js'),
      },
    },
  },
});
