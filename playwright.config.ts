import { defineConfig } from '@playwright/test'

const launchOptions = {
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: [
    '--headless',
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
}

// One worker: the tests share one clock, which each sets for itself.
export default defineConfig({
  testDir: 'tests/Web',
  outputDir: 'var/test/browser',
  workers: 1,
  // Once more where a busy machine was too slow to answer; it is then told as flaky, and not as passed at once.
  retries: 1,
  timeout: 120_000,
  expect: { timeout: 10_000 },
  reporter: [['list']],
  use: {
    baseURL: process.env.APP_URL ?? '',
    launchOptions,
    contextOptions: { reducedMotion: 'reduce' },
    actionTimeout: 10_000,
    locale: 'en-GB',
  },
  projects: [
    { name: 'desktop', use: { viewport: { width: 1280, height: 800 } } },
    {
      name: 'phone',
      testMatch: /(journey|looks)\.spec\.ts/,
      // The colours are the same on a phone; what differs is the layout, and of that the places at the stove say most.
      grepInvert: /(, dark|at the stores and with recipes, light)$/,
      use: { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true },
    },
  ],
})
