import { mostSide } from '@wax-fist/contract/camera';
import { filmingWords as words } from './words.ts';

/** A picture as it is sent to be looked at. */
export interface SmallPicture {
  width: number;
  height: number;
  /** Red, green and blue of each pixel, in base 64. */
  rgb: string;
}

/** Bytes that are turned into letters at once: more would overflow the call. */
const atOnce = 0x8000;

/** What a video shows now, made small. @throws Error when it shows nothing yet */
export function smallPicture(video: HTMLVideoElement): SmallPicture {
  const { videoWidth, videoHeight } = video;
  if (videoWidth === 0) throw new Error(words.theCameraShowsNothingYet);
  const scale = Math.min(1, mostSide / Math.max(videoWidth, videoHeight));
  const [width, height] = [Math.round(videoWidth * scale), Math.round(videoHeight * scale)];
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(video, 0, 0, width, height);
  const { data } = context.getImageData(0, 0, width, height);
  const rgb = new Uint8Array(width * height * 3);
  for (let pixel = 0; pixel < width * height; pixel++) rgb.set(data.subarray(pixel * 4, pixel * 4 + 3), pixel * 3);
  let letters = '';
  for (let from = 0; from < rgb.length; from += atOnce) letters += String.fromCharCode(...rgb.subarray(from, from + atOnce));
  return { width, height, rgb: btoa(letters) };
}
