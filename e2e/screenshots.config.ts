import base from '../playwright.config.ts';

/** Makes the pictures of docs/screenshots from the demo scenario; run by hand when a view changes. */
export default {
  ...base,
  testDir: '.',
  testMatch: 'screenshots.ts',
  webServer: { ...base.webServer, cwd: '..' },
  outputDir: '../test-results/screenshots',
};
