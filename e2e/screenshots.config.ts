import base from '../playwright.config.ts';

/** Makes the pictures of docs/screenshots from the demo scenario; run by hand when a view changes. */
export default {
  ...base,
  testDir: '.',
  testMatch: 'screenshots.ts',
  // The pictures show a year of closed dockets; the tests stand on judgement alone.
  webServer: { ...base.webServer, cwd: '..', env: { HARDY_YEAR: '1' } },
  outputDir: '../test-results/screenshots',
};
