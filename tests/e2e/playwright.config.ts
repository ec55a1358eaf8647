import { defineConfig } from '@playwright/test'

export const launch = {
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
}

export default defineConfig({
  testDir: '.',
  workers: 2,
  retries: 0,
  timeout: 120_000,
  expect: { timeout: 30_000 },
  reporter: [['list']],
  outputDir: '../../.run/test-results',
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: launch,
    trace: 'off',
    actionTimeout: 30_000,
    locale: 'en-GB',
  },
})
