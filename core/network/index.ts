import type { Ratio } from '../units.ts';

/** Base64, which every engine that this runs on has. */
declare const atob: (text: string) => string;
declare const btoa: (text: string) => string;

/** A network of one hidden layer that tells from a row of numbers how likely each of its classes is. Trained once, by the simulator; it never learns in use. */
export interface Network<Class extends string = string> {
  classes: readonly Class[];
  /** What is taken from each number, and what it is divided by. */
  mean: Float32Array;
  scale: Float32Array;
  /** For each hidden unit the weight of every number, and last its own. */
  hidden: readonly Float32Array[];
  /** For each class the weight of every hidden unit, and last its own. */
  answers: readonly Float32Array[];
}

/** A network as text, so that it can be kept beside the code: each list of weights as whole numbers of one byte, and what they are multiplied by. */
export interface KeptNetwork<Class extends string = string> {
  classes: readonly Class[];
  mean: string;
  scale: string;
  hidden: string;
  answers: string;
}

/** How likely each class is, in their order. @param row as many numbers as the network was trained on */
export function chancesOf({ mean, scale, hidden, answers }: Network, row: Float32Array): Ratio[] {
  const count = row.length;
  const plain = new Float32Array(count);
  for (let place = 0; place < count; place++) plain[place] = (row[place]! - mean[place]!) / scale[place]!;
  const active = new Float32Array(hidden.length);
  for (const [unit, weights] of hidden.entries()) {
    let sum = weights[count]!;
    for (let place = 0; place < count; place++) sum += weights[place]! * plain[place]!;
    active[unit] = Math.tanh(sum);
  }
  const told = answers.map((weights) => {
    let sum = weights[active.length]!;
    for (let unit = 0; unit < active.length; unit++) sum += weights[unit]! * active[unit]!;
    return sum;
  });
  const most = Math.max(...told);
  const powers = told.map((one) => Math.exp(one - most));
  const all = powers.reduce((sum, power) => sum + power, 0);
  return powers.map((power) => power / all);
}

/** A chance, where all else has so much of its weight: a network that was shown too much of all else says too little. */
export const against = (chance: Ratio, weight: number): Ratio => chance / (chance + weight * (1 - chance));

const steps = 127;
/** Before each list stands what its numbers are multiplied by, in four bytes. */
const head = 4;

/** Lists of numbers as text, each number as one of 255 steps between the list's largest and its opposite. */
function keptLists(lists: readonly ArrayLike<number>[]): string {
  const length = lists[0]!.length;
  const bytes = new DataView(new ArrayBuffer(lists.length * (head + length)));
  for (const [row, list] of lists.entries()) {
    const at = row * (head + length);
    const step = Math.max(1e-9, ...Array.from(list, Math.abs)) / steps;
    bytes.setFloat32(at, step);
    for (let place = 0; place < length; place++) bytes.setInt8(at + head + place, Math.round(list[place]! / step));
  }
  return btoa(Array.from(new Uint8Array(bytes.buffer), (byte) => String.fromCharCode(byte)).join(''));
}

/** @param count how many lists there are */
function listsOf(text: string, count: number): Float32Array[] {
  const bytes = new DataView(Uint8Array.from(atob(text), (letter: string) => letter.charCodeAt(0)).buffer);
  const whole = bytes.byteLength / count;
  return Array.from({ length: count }, (_, row) => {
    const at = row * whole;
    const step = bytes.getFloat32(at);
    return Float32Array.from({ length: whole - head }, (__, place) => step * bytes.getInt8(at + head + place));
  });
}

/** A number of a list of so many numbers of its own is kept as exactly as one of many. */
const apart = (list: Float32Array): Float32Array[] => Array.from(list, (value) => Float32Array.of(value));

/** As it is kept in a file. */
export const keptNetwork = <Class extends string>({
  classes,
  mean,
  scale,
  hidden,
  answers,
}: Network<Class>): KeptNetwork<Class> => ({
  classes,
  mean: keptLists(apart(mean)),
  scale: keptLists(apart(scale)),
  hidden: keptLists(hidden),
  answers: keptLists(answers),
});

/** As it works. */
export function networkOf<Class extends string>({ classes, mean, scale, hidden, answers }: KeptNetwork<Class>): Network<Class> {
  const numbers = (text: string): Float32Array => {
    const count = atob(text).length / (head + 1);
    return Float32Array.from(listsOf(text, count), ([value]) => value!);
  };
  const [middle, spread] = [numbers(mean), numbers(scale)];
  const units = atob(hidden).length / (head + middle.length + 1);
  return { classes, mean: middle, scale: spread, hidden: listsOf(hidden, units), answers: listsOf(answers, classes.length) };
}
