/// <reference lib="webworker" />

/** Longest edge sent to the clinic's server, pixels. */
const LONGEST_EDGE = 1600;
const QUALITY = 0.88;

export type DownscaleAnswer =
  | { readonly ok: true; readonly picture: Blob }
  | { readonly ok: false; readonly say: string };

/**
 * Makes a photo small before it is sent, away from the page's own thread. Drawing it anew leaves
 * behind what the camera wrote beside it; the server does the same again and is the one to rely on.
 */
self.onmessage = async (event: MessageEvent<File>) => {
  self.postMessage(await downscaled(event.data));
};

async function downscaled(file: File): Promise<DownscaleAnswer> {
  try {
    const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const scale = Math.min(1, LONGEST_EDGE / Math.max(bitmap.width, bitmap.height));
    const canvas = new OffscreenCanvas(
      Math.max(1, Math.round(bitmap.width * scale)),
      Math.max(1, Math.round(bitmap.height * scale)),
    );
    const context = canvas.getContext('2d');
    if (!context) return { ok: false, say: 'This browser cannot make the photo smaller.' };
    context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    bitmap.close();
    const picture = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
    return { ok: true, picture };
  } catch {
    return {
      ok: false,
      say: 'This is not a photo that can be read. Use a JPEG, PNG or WebP picture.',
    };
  }
}
