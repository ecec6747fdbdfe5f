import { expose, transfer } from 'comlink';
import { pictureScene, type PictureTask } from '../core/practice/drills/picture.ts';
import { takePicture } from '../core/simulate/camera.ts';
import { scatterGrains, type Grains } from '../core/simulate/jar/grains.ts';
import { heightTimePicture } from '../core/simulate/jar/picture.ts';
import type { PracticeJar } from '../core/simulate/jar/practice-jar.ts';
import { trackJar, type JarTrack } from '../core/simulate/jar/track.ts';

/** A practice jar as a page plays it: its week, its grains, its height-time picture. */
export type PlayedJar = { track: JarTrack; grains: Grains; picture: Uint8ClampedArray };

const endpoint = {
  /** Settles a jar: so many grains, a picture of so many points. */
  settle(jar: PracticeJar, o: { grains: number; width: number; height: number }): PlayedJar {
    const track = trackJar(jar);
    const picture = heightTimePicture(track, o.width, o.height);
    const grains = scatterGrains(track, o.grains, jar.seed + 1);
    return transfer({ track, grains, picture }, [picture.buffer as ArrayBuffer]);
  },
  /** Takes the picture of a task. */
  picture(task: PictureTask) {
    const { picture } = takePicture(pictureScene(task), task.shot);
    return transfer(picture, [picture.data.buffer as ArrayBuffer]);
  }
};
export type SimulateEndpoint = typeof endpoint;
expose(endpoint);
