import { defineConfig } from '@playwright/test';
import { CHROMIUM_ARGS } from './e2e/chromiumArgs.ts';

const PORT = 4377;

/** Browser tests against the real server and the built pages, on a fresh database of the demo scenario. */
export default defineConfig({
  testDir: 'e2e',
  testMatch: '**/*.spec.ts',
  outputDir: 'test-results/browser',
  fullyParallel: false,
  workers: 1,
  retries: 0,
  timeout: 60_000,
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    trace: 'retain-on-failure',
    launchOptions: {
      executablePath: process.env.HARDY_CHROMIUM ?? '/usr/bin/chromium',
      args: CHROMIUM_ARGS,
    },
  },
  webServer: {
    command: `node e2e/serve.mjs ${PORT}`,
    url: `http://127.0.0.1:${PORT}/api/health`,
    reuseExistingServer: false,
    timeout: 60_000,
  },
});
