import { inThread } from '../threads/in-thread.ts';

/** For tests: so many steps of a millisecond. */
export default inThread<number, string>((steps, tell) => {
  if (steps < 0) throw new Error('less than nothing');
  const sleep = new Int32Array(new SharedArrayBuffer(4));
  for (let step = 0; step < steps; step++) {
    Atomics.wait(sleep, 0, 0, 1);
    tell(step, steps);
  }
  return 'done';
});
