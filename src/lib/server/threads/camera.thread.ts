import { y4mFrame } from '../../formats/y4m.ts';
import { benchPicture, toPng, type PhotographedJar, type PictureAsked } from '../bench-picture.ts';
import { answering } from './answering.ts';

/** A picture of a jar at a time after set-down, s: as a PNG file, or as a frame of a film. */
export type CameraQuestion = {
  jar: PhotographedJar;
  query: PictureAsked;
  timeS: number;
  as: 'png' | 'frame';
};

/** Takes pictures of the simulated bench camera beside the server. */
answering(async ({ jar, query, timeS, as }: CameraQuestion): Promise<Uint8Array> => {
  const picture = benchPicture(jar, query, timeS);
  return as === 'png' ? toPng(picture) : y4mFrame(picture);
});
