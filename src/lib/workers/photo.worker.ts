import { expose } from 'comlink';
import { known } from '../core/known.ts';
import { requireStill } from '../core/photo/kind.ts';
import { clearAside } from '../core/photo/clear-glass.ts';
import { glassCorners } from '../core/photo/glass-corners.ts';
import { checkPicture, type Picture, type Pixel } from '../core/photo/picture.ts';
import { seenRuler } from '../core/photo/ruler.ts';
import { segmentProfile, type Boundary } from '../core/photo/segment.ts';
import { straighten, type Corners } from '../core/photo/straighten.ts';
import {
  contrastStretch,
  stripProfile,
  type Stretch,
  type Strip,
  type StripProfile
} from '../core/photo/strip.ts';

/** The picture that is being read: as it was opened, and as it is looked at now. */
let opened: Picture | undefined;
let lookedAt: Picture | undefined;

/** A page opens a picture before it asks anything of it. */
function inHand(picture: Picture | undefined): Picture {
  if (!picture) throw new Error('No picture is open.');
  return picture;
}

const canvasOf = (picture: Picture): OffscreenCanvas => {
  const canvas = new OffscreenCanvas(picture.width, picture.height);
  const data = new ImageData(new Uint8ClampedArray(picture.data), picture.width, picture.height);
  known(canvas.getContext('2d'), 'a canvas gives the context it is first asked for').putImageData(data, 0, 0);
  return canvas;
};

/** Errors cross to the page by name and field: comlink keeps only the message. */
async function answered<T>(
  work: () => T | Promise<T>
): Promise<{ value: T } | { problem: string; field: string }> {
  try {
    return { value: await work() };
  } catch (error) {
    const { message, field } = error as { message: string; field?: string };
    if (field === undefined) throw error;
    return { problem: message, field };
  }
}

const endpoint = {
  /** Opens a picture; answers with its size in points. */
  open: (file: Blob) =>
    answered(async () => {
      requireStill(new Uint8Array(await file.slice(0, 400_000).arrayBuffer()));
      const bitmap = await createImageBitmap(file).catch(() => {
        throw Object.assign(new Error('This picture breaks off in the middle. Take or copy it again.'), {
          field: 'picture'
        });
      });
      checkPicture(bitmap);
      const { width, height } = bitmap;
      const context = known(
        new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true }),
        'a canvas gives the context it is first asked for'
      );
      context.drawImage(bitmap, 0, 0);
      opened = lookedAt = { width, height, data: context.getImageData(0, 0, width, height).data };
      return { width, height };
    }),
  /** Looks at it square to a rectangle; answers with how it then looks. None puts it back. */
  straighten: (corners: Corners | undefined) =>
    answered(async () => {
      const whole = inHand(opened);
      lookedAt = corners ? straighten(whole, corners) : whole;
      return canvasOf(lookedAt).convertToBlob({ type: 'image/jpeg', quality: 0.9 });
    }),
  /** Colours of a strip, the lines in it, and the stretch that makes pale ones plain. */
  read: (strip: Strip) =>
    answered((): { profile: StripProfile; lines: Boundary[]; stretch: Stretch; clearAside?: number } => {
      const profile = stripProfile(inHand(lookedAt), strip);
      return {
        profile,
        lines: segmentProfile(profile),
        stretch: contrastStretch(profile),
        clearAside: clearAside(inHand(lookedAt), strip)
      };
    }),
  /** The ruler beside the glass, where one is seen. */
  ruler: (strip: Pick<Strip, 'low' | 'high'>) => answered(() => seenRuler(inHand(lookedAt), strip)),
  /** Corners on the walls of the jar, as it was taken, where they are seen. */
  corners: (low: Pixel, high: Pixel) => answered(() => glassCorners(inHand(opened), low, high)),
  /** Only the colours: for a film, whose lines are looked for all at once. */
  profile: (strip: Strip) => answered(() => stripProfile(inHand(lookedAt), strip))
};
export type PhotoEndpoint = typeof endpoint;
expose(endpoint);
