import { benchBrowser } from './browser.js';
import { benchBuild } from './build.js';
import { benchCarry } from './carry.js';
import { benchFrames } from './frames.js';
import { benchLayout } from './layout.js';
import { benchRuns } from './runs.js';
import { benchSolve } from './solve.js';
import { benchServer } from './server.js';

/** Prints every figure beside its target. These machines are noisy: medians, and ratios where there is something to compare. */
export async function bench(): Promise<void> {
  console.log('Runs');
  benchRuns();
  console.log('\nSolve');
  benchSolve();
  console.log('\nFrames');
  benchFrames();
  console.log('\nCarry');
  benchCarry();
  console.log('\nLayout');
  await benchLayout();
  console.log('\nBuild and log');
  await benchBuild();
  console.log('\nServer');
  await benchServer();
  console.log('\nPage, in Chromium');
  await benchBrowser();
}
