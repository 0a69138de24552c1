import { defineConfig } from '@playwright/test';

export default defineConfig({
    testDir: 'tests/Browser',
    outputDir: 'test-results',
    fullyParallel: false,
    workers: 2,
    retries: 0,
    forbidOnly: true,
    timeout: 150_000,
    expect: { timeout: 30_000 },
    reporter: 'dot',
    use: {
        baseURL: process.env['BASE_URL'] ?? 'http://127.0.0.1:8480',
        viewport: { width: 1280, height: 800 },
        screenshot: 'only-on-failure',
        launchOptions: {
            executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
            args: [
                '--no-sandbox',
                '--disable-gpu',
                '--disable-quic',
                '--no-first-run',
                '--disable-background-networking',
                '--disable-component-update',
                '--disable-sync',
            ],
        },
    },
});
