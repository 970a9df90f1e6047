import sharp from 'sharp';
import { PHOTO_LIMIT, PHOTO_TOO_LARGE } from '@/core/records';
import { Problem } from '../problem';

/** Largest stored picture, bytes. */
const STORED_LIMIT = 500 * 1024;
/** Longest edge of a stored picture, pixels: a mark is then about a millimetre. */
const LONGEST_EDGE = 1600;
/** More pixels than any camera of today; beyond it a small file may be a trap. */
const MOST_PIXELS = 120_000_000;
const TAKEN = ['jpeg', 'png', 'webp'];

export type Picture = { readonly bytes: Buffer; readonly width: number; readonly height: number };

const NOT_AN_IMAGE =
  'This is not a photo that can be read. Use a JPEG, PNG or WebP picture, as phones and cameras make.';

/**
 * Makes the picture that is stored: decoded and written anew as JPEG, upright, small, without
 * anything the camera wrote beside it (place, time, device).
 *
 * @throws Problem with a sentence for an empty, too large or unreadable file
 */
export async function storedPicture(upload: Buffer): Promise<Picture> {
  if (upload.length === 0) throw new Problem(400, 'This photo is empty. Choose another one.');
  if (upload.length > PHOTO_LIMIT) throw new Problem(413, PHOTO_TOO_LARGE);
  try {
    const { format } = await sharp(upload, { limitInputPixels: MOST_PIXELS }).metadata();
    if (!TAKEN.includes(format)) throw new Problem(415, NOT_AN_IMAGE);
    const upright = sharp(upload, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .rotate()
      .resize({
        width: LONGEST_EDGE,
        height: LONGEST_EDGE,
        fit: 'inside',
        withoutEnlargement: true,
      })
      .flatten({ background: '#ffffff' });
    for (const quality of [82, 70, 55, 40, 25]) {
      const { data, info } = await upright
        .clone()
        .jpeg({ quality, mozjpeg: true })
        .toBuffer({ resolveWithObject: true });
      if (data.length <= STORED_LIMIT || quality === 25)
        return { bytes: data, width: info.width, height: info.height };
    }
    throw new Problem(415, NOT_AN_IMAGE);
  } catch (error) {
    if (error instanceof Problem) throw error;
    // Whatever the decoder says may quote the file.
    throw new Problem(415, NOT_AN_IMAGE);
  }
}
