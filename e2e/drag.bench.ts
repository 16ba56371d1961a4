import type { Page } from '@playwright/test';
import type { Rig } from '@wainrope/core';
import { stretched } from '../core/bench/stretched.ts';
import { openPlan } from './open-plan.ts';
import { test } from './signed-in.ts';

/** Runs that are pooled, seconds of each, and how much slower than this machine the page is made. */
const RUNS = 5;
const RUN_S = 6;
const SLOWER = 4;
const FRAME_MS = 33;
/** How often a page is opened. */
const OPENINGS = 20;
/** Two frames of such a screen, with what a clock is off by. */
const TWO_MS = 34;

/** Every message to the worker with the answer of its number, there and back, in `window.wainropeAnswers`. */
async function timeAnswers(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const durations: number[] = [];
    Object.assign(window, { wainropeAnswers: durations });
    const post = Worker.prototype.postMessage;
    Worker.prototype.postMessage = function (this: Worker, message: { readonly id?: string }, ...rest: []) {
      const begun = performance.now();
      const heard = ({ data }: MessageEvent<{ readonly id?: string }>) => {
        if (data?.id !== message?.id) return;
        durations.push(performance.now() - begun);
        this.removeEventListener('message', heard);
      };
      if (message?.id !== undefined) this.addEventListener('message', heard);
      return post.call(this, message, ...rest);
    };
  });
}

/** Notes every frame and every answer from now on, beside those noted before. */
const timeFrames = (page: Page) =>
  page.evaluate(() => {
    const noting = window as unknown as { wainropeAnswers: number[]; wainropeFrames?: number[]; wainropeStop?: () => void };
    if (!noting.wainropeFrames) noting.wainropeAnswers.length = 0;
    noting.wainropeFrames ??= [];
    const frames = noting.wainropeFrames;
    let [last, isOver] = [Number.NaN, false];
    const tick = (now: number) => {
      if (isOver) return;
      if (!Number.isNaN(last)) frames.push(now - last);
      last = now;
      requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
    noting.wainropeStop = () => {
      isOver = true;
    };
  });

const stopTiming = (page: Page) => page.evaluate(() => (window as unknown as { wainropeStop: () => void }).wainropeStop());

const share = (list: readonly number[], part: number) => [...list].sort((a, b) => a - b)[Math.floor(list.length * part)] ?? Number.NaN;

/** Says how long frames and answers took since they were noted. */
async function tellFrames(page: Page, doing: string): Promise<void> {
  const { frames, solves } = await page.evaluate(() => ({
    frames: (window as unknown as { wainropeFrames: number[] }).wainropeFrames,
    solves: (window as unknown as { wainropeAnswers: number[] }).wainropeAnswers,
  }));
  const words = (list: readonly number[]) =>
    `median ${share(list, 0.5).toFixed(1)} ms, 95 % under ${share(list, 0.95).toFixed(1)} ms, of ${list.length}`;
  const within = (ms: number) => ((100 * frames.filter((frame) => frame < ms).length) / frames.length).toFixed(1);
  console.log(
    `${doing}, page ${SLOWER} × slower, ${RUNS} runs: frames ${words(frames)}; ${within(FRAME_MS)} % under ${FRAME_MS} ms, ${within(TWO_MS)} % within two of a screen of 60 a second`,
  );
  if (solves.length > 0) console.log(`the worker’s answer, there and back: ${words(solves)}`);
}

/** Moves the pointer about a place, held down, for as long as every run takes, and tells of the frames. */
async function dragAbout(page: Page, { x, y }: { readonly x: number; readonly y: number }, doing: string): Promise<void> {
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  for (let run = 0; run < RUNS; run++) {
    await page.mouse.move(x, y);
    await page.mouse.down();
    await timeFrames(page);
    const begun = Date.now();
    for (let step = 0; Date.now() - begun < RUN_S * 1000; step++)
      await page.mouse.move(x + 40 * Math.sin(step / 9), y + 25 * Math.sin(step / 13));
    await stopTiming(page);
    await page.mouse.move(x, y);
    await page.mouse.up();
    await page.waitForTimeout(1500);
  }
  await tellFrames(page, doing);
}

test('frame times while nothing but a box is dragged, over a page with nothing on it: what the machine can do', async ({ page }) => {
  test.setTimeout(300_000);
  await timeAnswers(page);
  await page.goto('/nothing-here');
  await page.locator('main h1').waitFor();
  await page.evaluate(() => {
    const box = document.createElement('div');
    box.style.cssText = 'position:fixed;left:0;top:0;width:50px;height:50px;background:teal;pointer-events:none;will-change:transform';
    document.body.append(box);
    document.addEventListener('pointermove', ({ clientX, clientY }) => {
      box.style.transform = `translate(${clientX}px, ${clientY}px)`;
    });
  });
  await dragAbout(page, { x: 600, y: 500 }, 'an empty box');
});

test('frame times while a tree is dragged', async ({ page }) => {
  test.setTimeout(300_000);
  await timeAnswers(page);
  await openPlan(page, 'Beck crossing');
  const box = await page.locator('[data-handle="heron"], [data-handle="vehicle"], [data-tree-handle]').first().boundingBox();
  if (!box) throw new Error('nothing to drag');
  await dragAbout(page, { x: box.x + box.width / 2, y: box.y + box.height / 2 }, 'dragging');
});

test('frame times while a pull is played', async ({ page }) => {
  test.setTimeout(300_000);
  await timeAnswers(page);
  await openPlan(page, 'Beck crossing');
  await page.getByRole('button', { name: 'Play the pull' }).click();
  await page.locator('[data-play-at]').waitFor();
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  for (let run = 0; run < RUNS; run++) {
    await page.getByRole('slider', { name: 'How far the pull has gone' }).press('Home');
    await page.waitForTimeout(1500);
    await timeFrames(page);
    await page.getByRole('button', { name: 'Play', exact: true }).click();
    await page.waitForTimeout(RUN_S * 1000);
    await stopTiming(page);
    await page.getByRole('button', { name: 'Pause', exact: true }).click();
  }
  await tellFrames(page, 'playing');
});

test('how soon the whole pull follows a change', async ({ page }) => {
  test.setTimeout(180_000);
  await timeAnswers(page);
  await page.goto('/plans/new');
  await page.locator('[data-layout="compound-by-winch"]').click();
  await page.getByLabel('Name of the plan').fill('Compound over 10 m');
  await page.getByRole('button', { name: 'Lay it out' }).click();
  await page.locator('[data-verdict]').waitFor();
  // The same rig on a site long enough for ten metres; that its ropes are too short for it changes no step.
  const address = new URL(page.url()).pathname.replace('/plans', '/api/v1/plans');
  const { name, rig, version } = (await (await page.request.get(address)).json()) as { name: string; rig: Rig; version: number };
  const saved = await page.request.put(address, {
    data: { name, rig: { ...stretched(rig, 14), load: { ...rig.load, travelM: 10 } }, baseVersion: version },
  });
  if (!saved.ok()) throw new Error(await saved.text());
  await page.reload();
  await page.getByRole('tab', { name: 'Pull', exact: true }).click();
  const end = page.locator('[data-pull-end="travel-done"]');
  await end.waitFor();
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  const took: number[] = [];
  const worked: number[] = [];
  for (let round = 0; round < 11; round++) {
    const metres = (10 - round / 10).toFixed(1);
    await page.evaluate(() => {
      (window as unknown as { wainropeAnswers: number[] }).wainropeAnswers.length = 0;
    });
    const since = Date.now();
    await page.getByLabel('To travel until free').fill(metres);
    await end.filter({ hasText: `${metres} m` }).waitFor();
    took.push(Date.now() - since);
    worked.push(Math.max(...(await page.evaluate(() => (window as unknown as { wainropeAnswers: number[] }).wainropeAnswers))));
  }
  const median = (list: readonly number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? Number.NaN;
  console.log(
    `page ${SLOWER} × slower: the whole of 10 m stands on the page ${median(took)} ms after a key, at most ${Math.max(...took)} ms, of ${took.length}; of that the worker ${median(worked).toFixed(0)} ms`,
  );
});

test('how soon a plan that is opened by its address says its verdict', async ({ page }) => {
  test.setTimeout(300_000);
  await page.addInitScript(() => {
    const begun = new MutationObserver(() => {
      const said = document.querySelector(location.pathname.startsWith('/plans/') ? '[data-verdict]' : 'main h1');
      if (!said) return;
      begun.disconnect();
      // Once it is painted.
      requestAnimationFrame(() => setTimeout(() => Object.assign(window, { wainropeSaid: performance.now() })));
    });
    begun.observe(document, { childList: true, subtree: true });
  });
  const plan = `/plans/${await openPlan(page, 'Bog below')}`;
  const took: Record<string, number[]> = { '/nothing-here': [], [plan]: [] };
  for (let round = 0; round < OPENINGS; round++)
    for (const [address, times] of Object.entries(took)) {
      await page.goto('about:blank');
      await page.goto(address, { waitUntil: 'commit' });
      const said = await page.waitForFunction(() => (window as unknown as { wainropeSaid?: number }).wainropeSaid, null, { polling: 300 });
      times.push((await said.jsonValue()) ?? Number.NaN);
      // What a page does after it stands is not for the next to wait for.
      await page.waitForTimeout(1000);
    }
  const [empty = Number.NaN, verdict = Number.NaN] = Object.values(took).map((times) => share(times, 0.5));
  console.log(
    `opened by its address, ${OPENINGS} times in turn with an empty page: verdict painted after ${verdict.toFixed(0)} ms, the empty page after ${empty.toFixed(0)} ms, ${(verdict / empty).toFixed(2)} times`,
  );
});
