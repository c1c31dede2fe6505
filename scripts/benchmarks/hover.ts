import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from 'playwright-core';
import { build, preview } from 'vite';
import { reportFrames, SLOW_DOWN, traced, workPerFrame } from './work-per-frame.ts';

const STEPS = 400;
const IDLE = 0.5;

/** Work of the frames that drew something while the pointer went to and fro over a chart, sorted, in ms. */
async function hovered(page: Page): Promise<number[]> {
  const chart = page.getByRole('img');
  await chart.waitFor();
  const box = await chart.boundingBox();
  if (!box) throw new Error('There is no chart on the page.');
  const client = await page.context().newCDPSession(page);
  await client.send('Emulation.setCPUThrottlingRate', { rate: SLOW_DOWN });
  const events = await traced(client, async () => {
    for (let step = 0; step < STEPS; step += 1) {
      const across = 0.5 + 0.35 * Math.sin((step / STEPS) * 4 * Math.PI);
      await client.send('Input.dispatchMouseEvent', {
        type: 'mouseMoved',
        x: box.x + across * box.width,
        y: box.y + 75,
        pointerType: 'mouse',
      });
    }
  });
  const said = await chart.locator('text').allTextContents();
  if (!said.some((text) => text.startsWith('Value'))) throw new Error('The chart said nothing of what was pointed at.');
  return workPerFrame(events)
    .filter((ms) => ms > IDLE)
    .sort((a, b) => a - b);
}

const folder = mkdtempSync(join(tmpdir(), 'green-beam-hover-'));
try {
  await build({
    root: join(import.meta.dirname, 'hover'),
    logLevel: 'warn',
    build: { outDir: folder, emptyOutDir: true },
  });
  const server = await preview({ build: { outDir: folder }, preview: { port: 0, host: '127.0.0.1' } });
  const [address = ''] = server.resolvedUrls?.local ?? [];
  const browser = await chromium.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(address);
  reportFrames('pointing at one of 5000 values', await hovered(page));
  await browser.close();
  await server.close();
} finally {
  rmSync(folder, { recursive: true, force: true });
}
