import { defineConfig } from '@playwright/test'
import { launchOptions } from './bin/browser.mjs'
import { MORNING } from './tests/Web/support'

export default defineConfig({
  testDir: 'tests/Web',
  outputDir: 'var/test/browser',
  // One for each core: every test has a house and a clock of its own, or only looks at Skerry House.
  workers: 2,
  fullyParallel: true,
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
    // What a test answers in the house's place is not to be answered by the pages' worker; who tries that lets it in.
    serviceWorkers: 'block',
    // Every page is of this morning until its test says otherwise.
    extraHTTPHeaders: { 'X-Standing-Clock': MORNING },
  },
  projects: [
    { name: 'desktop', grepInvert: /@alone/, use: { viewport: { width: 1280, height: 800 } } },
    {
      name: 'phone',
      testMatch: /(journey|looks|words)\.spec\.ts/,
      // The colours are the same on a phone; what differs is the layout, and of that the places at the stove say most.
      grepInvert: /(, dark|at the stores and with recipes, light)$/,
      use: { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true },
    },
    { name: 'alone', grep: /@alone/, workers: 1, dependencies: ['desktop', 'phone'] },
  ],
})
