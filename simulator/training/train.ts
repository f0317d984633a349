import type { Network } from '@wax-fist/core/network';
import { seededRandom, type Random } from '../random.ts';

/** What a network learns from: rows of numbers, and the place of the class that each is of. */
export interface Examples {
  rows: Float32Array[];
  classes: number[];
}

export interface Training {
  seed: number;
  /** Hidden units. */
  units: number;
  epochs: number;
  /** How strongly weights are drawn to nothing. */
  decay: number;
  /** By how much every number is put off each time it is seen, against its spread. */
  blur: number;
  /** Told after each epoch: mean loss, in nats. */
  onEpoch?: (epoch: number, loss: number) => void;
}

/** Spread as a normal number is, nearly, and much sooner. */
const roughly = (random: Random): number => (random.next() + random.next() + random.next() - 1.5) * 2;

const batch = 128;
const [firstStep, lastStep] = [0.004, 0.0001];

/** Mean and spread of each number. */
function spreadOf(rows: readonly Float32Array[]): { mean: Float32Array; scale: Float32Array } {
  const count = rows[0]!.length;
  const [sum, squares] = [new Float64Array(count), new Float64Array(count)];
  for (const row of rows) for (let place = 0; place < count; place++) sum[place]! += row[place]! / rows.length;
  for (const row of rows)
    for (let place = 0; place < count; place++) squares[place]! += (row[place]! - sum[place]!) ** 2 / rows.length;
  return { mean: Float32Array.from(sum), scale: Float32Array.from(squares, (square) => Math.sqrt(square) + 0.02) };
}

/** Weights that follow their gradients (D. Kingma and J. Ba, Adam, 2015), with weight decay beside it (I. Loshchilov, 2019). */
class Weights {
  readonly values: Float32Array;
  readonly gradients: Float32Array;
  private readonly first: Float32Array;
  private readonly second: Float32Array;
  private steps = 0;
  constructor(count: number, first: () => number) {
    this.values = Float32Array.from({ length: count }, first);
    this.gradients = new Float32Array(count);
    this.first = new Float32Array(count);
    this.second = new Float32Array(count);
  }
  follow(size: number, decay: number): void {
    this.steps++;
    const [firstLeft, secondLeft] = [1 - 0.9 ** this.steps, 1 - 0.999 ** this.steps];
    for (let place = 0; place < this.values.length; place++) {
      const gradient = this.gradients[place]!;
      this.first[place] = 0.9 * this.first[place]! + 0.1 * gradient;
      this.second[place] = 0.999 * this.second[place]! + 0.001 * gradient * gradient;
      const step = this.first[place]! / firstLeft / (Math.sqrt(this.second[place]! / secondLeft) + 1e-8);
      this.values[place]! -= size * (step + decay * this.values[place]!);
    }
    this.gradients.fill(0);
  }
  /** Its values as rows of `width`. */
  rows(width: number): Float32Array[] {
    return Array.from({ length: this.values.length / width }, (_, row) => this.values.slice(row * width, (row + 1) * width));
  }
}

/** Trains a network of one hidden layer to tell classes apart; the same examples and seed always give the same. */
export function trained<Class extends string>(
  names: readonly Class[],
  { rows, classes }: Examples,
  { seed, units, epochs, decay, blur, onEpoch }: Training,
): Network<Class> {
  const random = seededRandom(seed);
  const { mean, scale } = spreadOf(rows);
  const features = mean.length;
  const width = features + 1;
  const hidden = new Weights(units * width, () => random.normal(0, 1 / Math.sqrt(features)));
  const answers = new Weights(names.length * (units + 1), () => random.normal(0, 0.3));
  const [input, active, told, back] = [
    new Float32Array(features),
    new Float32Array(units),
    new Float32Array(names.length),
    new Float32Array(units),
  ];
  let order = Array.from(rows.keys());
  for (let epoch = 0; epoch < epochs; epoch++) {
    order = random.shuffled(order);
    let loss = 0;
    for (let from = 0; from < order.length; from += batch) {
      const done = (epoch + from / order.length) / epochs;
      const size = lastStep + 0.5 * (firstStep - lastStep) * (1 + Math.cos(Math.PI * done));
      const part = order.slice(from, from + batch);
      for (const index of part) {
        const row = rows[index]!;
        for (let place = 0; place < features; place++)
          input[place] = (row[place]! - mean[place]!) / scale[place]! + blur * roughly(random);
        for (let unit = 0; unit < units; unit++) {
          const at = unit * width;
          let sum = hidden.values[at + features]!;
          for (let place = 0; place < features; place++) sum += hidden.values[at + place]! * input[place]!;
          active[unit] = Math.tanh(sum);
        }
        let most = -Infinity;
        for (let answer = 0; answer < names.length; answer++) {
          const at = answer * (units + 1);
          let sum = answers.values[at + units]!;
          for (let unit = 0; unit < units; unit++) sum += answers.values[at + unit]! * active[unit]!;
          told[answer] = sum;
          most = Math.max(most, sum);
        }
        let all = 0;
        for (let answer = 0; answer < names.length; answer++) all += told[answer] = Math.exp(told[answer]! - most);
        back.fill(0);
        for (let answer = 0; answer < names.length; answer++) {
          const chance = told[answer]! / all;
          const right = answer === classes[index]!;
          if (right) loss -= Math.log(chance + 1e-9);
          const error = (chance - (right ? 1 : 0)) / part.length;
          const at = answer * (units + 1);
          answers.gradients[at + units]! += error;
          for (let unit = 0; unit < units; unit++) {
            answers.gradients[at + unit]! += error * active[unit]!;
            back[unit]! += error * answers.values[at + unit]!;
          }
        }
        for (let unit = 0; unit < units; unit++) {
          const inner = back[unit]! * (1 - active[unit]! ** 2);
          if (Math.abs(inner) < 1e-7) continue;
          const at = unit * width;
          hidden.gradients[at + features]! += inner;
          for (let place = 0; place < features; place++) hidden.gradients[at + place]! += inner * input[place]!;
        }
      }
      hidden.follow(size, decay);
      answers.follow(size, decay);
    }
    onEpoch?.(epoch, loss / order.length);
  }
  return { classes: names, mean, scale, hidden: hidden.rows(width), answers: answers.rows(units + 1) };
}
