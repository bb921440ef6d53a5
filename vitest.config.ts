import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: { root: 'web', environment: 'node', setupFiles: ['testing/browser.ts'], include: ['**/*.test.ts'] },
});
