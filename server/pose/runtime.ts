import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { setFlagsFromString } from 'node:v8';
import vm from 'node:vm';
import type * as Runtime from '@litertjs/core';
import type { CompiledModel, Tensor } from '@litertjs/core';

/** Runs one of the shipped models: a picture in, its first two outputs in their order. What comes behind them nobody reads. */
export type Model = (input: Float32Array, shape: readonly number[]) => Promise<Float32Array[]>;

const require = createRequire(import.meta.url);

/**
 * The runtime was made for browsers: it looks for its files by address and for what browsers have in common. Here that is given to
 * it, in the thread that loads it and nowhere else.
 */
function asInBrowser(folder: string): void {
  const answerFile = (asked: Parameters<typeof fetch>[0]): Promise<Response> => {
    const address = asked instanceof Request ? asked.url : String(asked);
    const type = address.endsWith('.wasm') ? 'application/wasm' : 'application/octet-stream';
    return Promise.resolve(new Response(readFileSync(new URL(address)), { headers: { 'content-type': type } }));
  };
  Object.assign(globalThis, {
    self: globalThis,
    require,
    __filename: join(folder, 'runtime.js'),
    __dirname: folder,
    fetch: answerFile,
    importScripts: (...addresses: string[]) => {
      for (const address of addresses) vm.runInThisContext(readFileSync(new URL(address), 'utf8'), { filename: address });
    },
  });
}

/**
 * Multiplying and adding in one step is in WebAssembly since V8 11.4, and behind a switch in the one of Node 20: with it the models
 * take a fifth less time. A look at one picture is the same to thousandths of a pixel; as each look begins where the one before ended,
 * that grows to a pixel within ten frames, now one way and now the other: against the truth, points are off by as much as before.
 */
function multiplyAndAddAtOnce(): void {
  if (process.versions.v8.startsWith('11.3.')) setFlagsFromString('--experimental-wasm-relaxed-simd');
}

let loaded: Promise<typeof Runtime> | undefined;

/** The runtime, loaded once in a thread. */
async function load(): Promise<typeof Runtime> {
  const folder = join(dirname(require.resolve('@litertjs/core/package.json')), 'wasm');
  asInBrowser(folder);
  multiplyAndAddAtOnce();
  const runtime = await import('@litertjs/core');
  await runtime.loadLiteRt(pathToFileURL(`${folder}/`).href);
  return runtime;
}

/** A model of the package that ships them, by the name of its file. */
export async function loadModel(file: string): Promise<Model> {
  const runtime = await (loaded ??= load());
  const bytes = readFileSync(join(dirname(require.resolve('@mediapipe/pose/package.json')), file));
  const model: CompiledModel = await runtime.loadAndCompile(new Uint8Array(bytes), { accelerator: 'wasm' });
  return async (input, shape) => {
    const given = new runtime.Tensor(input, [...shape]);
    const answered = await model.run([given]);
    const tensors: Tensor[] = Array.isArray(answered) ? answered : Object.values(answered);
    const read = tensors.slice(0, 2).map(async (tensor) => ((await tensor.data()) as Float32Array).slice());
    const outputs = await Promise.all(read);
    for (const tensor of [given, ...tensors]) tensor.delete();
    return outputs;
  };
}
