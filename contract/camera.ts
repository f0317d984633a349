import './told-briefly.ts';
import { cameraFindingKinds } from '@wax-fist/core/setup';
import { stances, views } from '@wax-fist/core/technique';
import { array, boolean, number, object, string, type InferType } from 'yup';
import { endpoint, staff } from './endpoint.ts';

/** Pixels of the longer side of a picture that is looked at: more tell no more. */
export const mostSide = 448;
const side = () => number().integer().min(64).max(mostSide).required();

/** One picture of a camera, small: red, green and blue of each pixel, row by row, in base 64. */
export const cameraPictureShape = object({
  width: side(),
  height: side(),
  rgb: string()
    .required()
    .matches(/^[A-Za-z0-9+/]*={0,2}$/, 'This is no picture.'),
  /** From where it is to be filmed, and how the trainee stands. */
  view: string().oneOf(views).required(),
  stance: string().oneOf(stances).required(),
}).test('whole', 'This picture is not as large as it says.', ({ width, height, rgb }) => {
  if (typeof rgb !== 'string') return true;
  const bytes = (rgb.length / 4) * 3 - (rgb.endsWith('==') ? 2 : rgb.endsWith('=') ? 1 : 0);
  return bytes === width * height * 3;
});

/** What is wrong with a picture, worst first. */
export const cameraSaysShape = object({
  findings: array(
    object({
      kind: string().oneOf(cameraFindingKinds).required(),
      bad: boolean().required(),
      says: string().required(),
    }).required(),
  ).required(),
});
export type CameraSays = InferType<typeof cameraSaysShape>;

/** Pictures of cameras, looked at before a round. Nothing of them is kept. */
export const cameraEndpoints = {
  lookAtPicture: endpoint('POST', '/api/camera-picture', staff, { body: cameraPictureShape, reply: cameraSaysShape }),
};
