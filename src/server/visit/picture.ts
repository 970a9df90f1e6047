import sharp from 'sharp';
import { PHOTO_LIMIT, PHOTO_TOO_LARGE } from '@/core/records';
import { oneAtATime } from '../one-at-a-time';
import { Problem } from '../problem';

/** How a picture is kept, and what may come in. */
export const PICTURE_LIMITS = {
  /** Largest stored picture, bytes. */
  storedBytes: 500 * 1024,
  /** Longest edge of a stored picture, pixels: a mark is then about a millimetre. */
  longestEdge: 1600,
  /** What a phone's camera makes at most as it is handed to a page; beyond it a small file may be a trap. */
  pixels: 50_000_000,
  /** Uploads wait whole, each with its bytes. */
  waiting: 8,
} as const;
/** Of JPEG, percent: the first that fits is kept, the last whether it fits or not. */
const BEST_QUALITY = 82;
/** The next ones, where a picture is too large. */
const POORER_QUALITIES = [70, 55, 40, 25];
const TAKEN = ['jpeg', 'png', 'webp'];

/** How a kind of picture is kept: how large, in pixels and bytes. */
export type PictureSize = { readonly longestEdge: number; readonly storedBytes: number };

export type Picture = { readonly bytes: Buffer; readonly width: number; readonly height: number };

const NOT_AN_IMAGE =
  'This is not a photo that can be read. Use a JPEG, PNG or WebP picture, as phones and cameras make.';

const TOO_MANY_PIXELS =
  'This photo has more than 50 megapixels. Choose a smaller size in the camera, or send a copy that is smaller.';

/** Decoding takes memory by the pixel, so that never two pictures are decoded at once. */
const inLine = oneAtATime(
  PICTURE_LIMITS.waiting,
  () => new Problem(503, 'Many photos are coming in just now. Send this one again in a minute.'),
);

/**
 * Makes the picture that is stored: decoded and written anew as JPEG, upright, small, without
 * anything the camera wrote beside it (place, time, device).
 *
 * @throws Problem with a sentence for an empty, too large or unreadable file
 */
export async function storedPicture(
  upload: Buffer,
  size: PictureSize = PICTURE_LIMITS,
): Promise<Picture> {
  if (upload.length === 0) throw new Problem(400, 'This photo is empty. Choose another one.');
  if (upload.length > PHOTO_LIMIT) throw new Problem(413, PHOTO_TOO_LARGE);
  return inLine(() => smaller(upload, size));
}

async function smaller(
  upload: Buffer,
  { longestEdge, storedBytes }: PictureSize,
): Promise<Picture> {
  try {
    // Only the head is read for this, so that nothing large is decoded to be refused.
    const { format, width, height } = await sharp(upload, { limitInputPixels: false }).metadata();
    if (!TAKEN.includes(format)) throw new Problem(415, NOT_AN_IMAGE);
    if (width * height > PICTURE_LIMITS.pixels) throw new Problem(413, TOO_MANY_PIXELS);
    const { data: raw, info: size } = await sharp(upload, {
      limitInputPixels: PICTURE_LIMITS.pixels,
      failOn: 'error',
    })
      .rotate()
      .resize({
        width: longestEdge,
        height: longestEdge,
        fit: 'inside',
        withoutEnlargement: true,
      })
      .flatten({ background: '#ffffff' })
      .raw()
      .toBuffer({ resolveWithObject: true });
    const written = (quality: number) =>
      sharp(raw, { raw: { width: size.width, height: size.height, channels: size.channels } })
        .jpeg({ quality, mozjpeg: true })
        .toBuffer({ resolveWithObject: true });
    let picture = await written(BEST_QUALITY);
    for (const quality of POORER_QUALITIES)
      if (picture.data.length > storedBytes) picture = await written(quality);
    return { bytes: picture.data, width: picture.info.width, height: picture.info.height };
  } catch (error) {
    if (error instanceof Problem) throw error;
    // Whatever the decoder says may quote the file.
    throw new Problem(415, NOT_AN_IMAGE);
  }
}
