import { openPlan } from './open-plan.ts';
import { test } from './signed-in.ts';

/** Seconds of dragging, and how much slower than this machine the page is made. */
const DRAG_S = 6;
const SLOWER = 4;
const FRAME_MS = 33;

test('frame times while a tree is dragged', async ({ page }) => {
  test.setTimeout(180_000);
  await page.addInitScript(() => {
    // Every message to the worker with the answer of its number: there and back.
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
  await openPlan(page, 'Beck crossing');
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  const box = await page.locator('[data-handle="heron"], [data-handle="vehicle"], [data-tree-handle]').first().boundingBox();
  if (!box) throw new Error('nothing to drag');
  await page.evaluate(() => {
    (window as unknown as { wainropeAnswers: number[] }).wainropeAnswers.length = 0;
    const frames: number[] = [];
    let last = performance.now();
    const tick = (now: number) => {
      frames.push(now - last);
      last = now;
      requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
    Object.assign(window, { wainropeFrames: frames });
  });
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  const begun = Date.now();
  for (let step = 0; Date.now() - begun < DRAG_S * 1000; step++)
    await page.mouse.move(x + 40 * Math.sin(step / 9), y + 25 * Math.sin(step / 13));
  await page.mouse.up();
  const { frames, solves } = await page.evaluate(() => ({
    frames: (window as unknown as { wainropeFrames: number[] }).wainropeFrames.slice(1),
    solves: (window as unknown as { wainropeAnswers: number[] }).wainropeAnswers,
  }));
  const share = (list: readonly number[], part: number) => [...list].sort((a, b) => a - b)[Math.floor(list.length * part)] ?? Number.NaN;
  const words = (list: readonly number[]) =>
    `median ${share(list, 0.5).toFixed(1)} ms, 95 % under ${share(list, 0.95).toFixed(1)} ms, of ${list.length}`;
  const within = (100 * frames.filter((frame) => frame < FRAME_MS).length) / frames.length;
  console.log(`page ${SLOWER} × slower: frames ${words(frames)}; ${within.toFixed(1)} % under ${FRAME_MS} ms`);
  console.log(`the worker’s answer, there and back: ${words(solves)}`);
});
