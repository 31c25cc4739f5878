/** A photograph as it is kept: a JPEG of a screen's size, turned upright, without what its camera wrote into it. */
import { invalid } from '../http/problems';
import sharp, { type Metadata, type Sharp } from 'sharp';

/** Longest side that is kept, pixels. */
const LONGEST_SIDE = 2048;
/** A picture of more pixels than this is not opened: a small file can unfold into one that fills the memory. */
const MOST_PIXELS = 80_000_000;
/** Nor one that is longer than this on a side, pixels: a line of it alone would fill the memory. A phone's panorama has 16,000. */
const MOST_SIDE = 32_000;
const QUALITY = 82;

/** Kinds of pictures that are taken in. */
export const PICTURE_TYPES = ['image/jpeg', 'image/png', 'image/webp'];
const FORMATS = ['jpeg', 'png', 'webp'];

export interface Photograph {
  data: Buffer;
  width: number;
  height: number;
}

const open = (body: Buffer): Sharp =>
  sharp(body, { limitInputPixels: MOST_PIXELS, failOn: 'error', pages: 1 });

const refused = (message: string) => invalid([{ field: 'photograph', message }]);

/** What a picture's head says. Throws a Problem of 422 where it is none, of another kind, or too large. */
async function headOf(body: Buffer): Promise<Metadata> {
  // An empty body is refused before anything is awaited.
  const head =
    body.length === 0
      ? null
      : await open(body)
          .metadata()
          .catch(() => null);
  if (!head || !FORMATS.includes(head.format ?? '')) {
    throw refused('must be a JPEG, PNG or WebP picture');
  }
  if ((head.width ?? 0) * (head.height ?? 0) > MOST_PIXELS) {
    throw refused(`must have at most ${MOST_PIXELS / 1e6} million pixels`);
  }
  if (Math.max(head.width ?? 0, head.height ?? 0) > MOST_SIDE) {
    throw refused(`must be at most ${MOST_SIDE} pixels wide and high`);
  }
  return head;
}

/**
 * Makes a picture ready to be kept. Nothing of its metadata is taken over: no place, no time, no name of a device.
 * Throws a Problem of 422 for what is no picture, is damaged, or is too large.
 */
export async function shrunk(body: Buffer): Promise<Photograph> {
  await headOf(body);
  try {
    const { data, info } = await open(body)
      .rotate()
      .resize(LONGEST_SIDE, LONGEST_SIDE, { fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: QUALITY, mozjpeg: true })
      .toBuffer({ resolveWithObject: true });
    return { data, width: info.width, height: info.height };
  } catch {
    throw refused('is damaged: it could not be read to its end');
  }
}

/** A picture that was kept before, as it is. Throws a Problem of 422 where it is not like one that was kept here. */
export async function keptBefore(body: Buffer): Promise<Photograph> {
  const head = await headOf(body);
  const { width, height } = head;
  if (head.format !== 'jpeg' || head.exif || head.xmp || head.iptc) {
    throw refused('must be a JPEG without metadata');
  }
  if (Math.max(width, height) > LONGEST_SIDE) {
    throw refused(`must be at most ${LONGEST_SIDE} pixels wide and high`);
  }
  await open(body)
    .stats()
    .catch(() => {
      throw refused('is damaged: it could not be read to its end');
    });
  return { data: body, width, height };
}
