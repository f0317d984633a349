import { emptyTrack, numbersOfFrame, numbersOfPoint, packTrack, pointNames, type Track } from '@wax-fist/core/body';
import { drawnFrameRate } from '@wax-fist/core/compare';
import type { MomentFrames } from '@wax-fist/core/strikes';
import type { Seconds } from '@wax-fist/core/units';
import { Command } from 'commander';
import { mkdir, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { jointAt } from './body/model-points.ts';
import { plainLook } from './look.ts';
import { perform } from './motion/performance.ts';
import { everySingle, isBeat, type Single } from './motion/technique/single.ts';
import { usualStation } from './motion/technique/thrown.ts';

/** What is drawn beside somebody: everything that is thrown alone. A beat of the speed bag is a rhythm, and no strike to look at. */
export const drawnTechniques: readonly Single[] = everySingle.filter((one) => !isBeat(one));
/** What lies before and after it. */
const margin: Seconds = 0.3;

/** A technique thrown cleanly by an orthodox trainee of usual stature: where its points are in the room, in millimetres, and when. */
export function drawnOf(technique: Single): { moments: MomentFrames; room: Track } {
  const performance = perform({
    ...{ name: technique, seed: 1, stance: 'orthodox', stature: 1.75, look: plainLook, station: usualStation(technique) },
    ...{ work: [{ strikes: [technique], times: 1 }], faults: [], cameras: [], noise: -60 },
  });
  const strike = performance.strikes.at(-1)!;
  const from = Math.min(strike.begins, strike.launch) - margin;
  const frameOf = (seconds: Seconds): number => Math.round((seconds - from) * drawnFrameRate);
  const room = emptyTrack(0, frameOf(strike.home + margin) + 1);
  for (let frame = 0; frame < room.frames; frame++) {
    const { joints } = performance.bodyAt(from + frame / drawnFrameRate);
    for (const [point, name] of pointNames.entries()) {
      const { x, y, z } = jointAt(joints, name).clone().multiplyScalar(1000);
      room.values.set([x, y, z, 1], frame * numbersOfFrame + point * numbersOfPoint);
    }
  }
  const { launch, contact, home } = strike;
  return { moments: { launchFrame: frameOf(launch), contactFrame: frameOf(contact), homeFrame: frameOf(home) }, room };
}

/** Where those that ship lie. */
export const drawnFolder = join(dirname(fileURLToPath(import.meta.url)), '..', 'web', 'features', 'compare', 'drawn');

async function make(): Promise<void> {
  await mkdir(drawnFolder, { recursive: true });
  const moments: Record<string, MomentFrames> = {};
  for (const technique of drawnTechniques) {
    const drawn = drawnOf(technique);
    moments[technique] = drawn.moments;
    await writeFile(join(drawnFolder, `${technique}.points`), packTrack(drawn.room));
  }
  await writeFile(join(drawnFolder, 'moments.json'), JSON.stringify(moments, null, 2) + '\n');
  process.stderr.write(`${drawnTechniques.length} strikes\n`);
}

export const drawnCommand = (): Command =>
  new Command('strikes')
    .description('Write how each technique is thrown cleanly, as points in the room: what a strike is compared with.')
    .action(make);
