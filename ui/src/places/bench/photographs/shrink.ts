/** Longer side of a picture that is sent, pixels; the server keeps no larger one. */
const LONG_SIDE = 1280;
const QUALITY = 0.8;

/** Width and height with the longer side at most so long, in the same proportion, pixels. */
export function fitted(width: number, height: number, most = LONG_SIDE): { width: number; height: number } {
  const scale = Math.min(1, most / Math.max(width, height));
  return { width: Math.max(1, Math.round(width * scale)), height: Math.max(1, Math.round(height * scale)) };
}

/**
 * A picture made small, turned as it was taken, as a JPEG. Nothing but what is seen is left of it:
 * where it was taken stays on the tablet. A file that the browser cannot read is sent as it is, and
 * the server says what is wrong with it.
 */
export async function shrunk(file: Blob): Promise<Blob> {
  let whole: ImageBitmap;
  try {
    whole = await createImageBitmap(file, { imageOrientation: "from-image" });
  } catch {
    return file;
  }
  const size = fitted(whole.width, whole.height);
  const canvas = document.createElement("canvas");
  canvas.width = size.width;
  canvas.height = size.height;
  canvas.getContext("2d")?.drawImage(whole, 0, 0, size.width, size.height);
  whole.close();
  return new Promise((resolve) => canvas.toBlob((jpeg) => resolve(jpeg ?? file), "image/jpeg", QUALITY));
}
