import { defineConfig } from 'vitest/config'

// The logic and the drawings of the interface by themselves; the pages are driven in a browser (playwright.config.ts).
export default defineConfig({
  test: { include: ['tests/Unit/**/*.test.{ts,tsx}'], environment: 'node', restoreMocks: true, unstubGlobals: true },
})
