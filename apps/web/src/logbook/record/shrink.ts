/** Longest side of a picture in the record, px, and how it is packed: a glue line is still told from a scratch. */
const LONGEST_PX = 1600;
const QUALITY = 0.82;

/** Size that fits, never larger than the picture is. */
function fitted(width: number, height: number): { readonly width: number; readonly height: number } {
  const scale = Math.min(1, LONGEST_PX / Math.max(width, height));
  return { width: Math.max(1, Math.round(width * scale)), height: Math.max(1, Math.round(height * scale)) };
}

/**
 * A photograph made small, upright, and without whatever it told of camera, place and time: only its points are drawn anew.
 * @throws where the file is no picture that this browser reads.
 */
export async function shrink(file: Blob): Promise<Blob> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  try {
    const canvas = document.createElement('canvas');
    Object.assign(canvas, fitted(picture.width, picture.height));
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    return await new Promise((done, fail) =>
      canvas.toBlob(
        (blob) => (blob === null ? fail(new Error('the picture cannot be packed')) : done(blob)),
        'image/jpeg',
        QUALITY,
      ),
    );
  } finally {
    picture.close();
  }
}
