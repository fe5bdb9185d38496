/** Wide enough for a page, px. */
const WIDE_PX = 2400;

/** A drawing as a picture, on white. @throws Error where the browser cannot draw it. */
export async function pngOf(svg: Blob): Promise<Blob> {
  const url = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  try {
    const image = new Image();
    image.src = url;
    await image.decode();
    const canvas = document.createElement('canvas');
    canvas.width = WIDE_PX;
    canvas.height = Math.max(1, Math.round((WIDE_PX * image.naturalHeight) / image.naturalWidth));
    const context = canvas.getContext('2d');
    if (context === null) throw new Error('This browser draws no pictures.');
    context.fillStyle = '#fff';
    context.fillRect(0, 0, canvas.width, canvas.height);
    context.drawImage(image, 0, 0, canvas.width, canvas.height);
    return await new Promise((done, fail) => {
      canvas.toBlob((picture) => {
        if (picture === null) fail(new Error('This browser saves no pictures.'));
        else done(picture);
      }, 'image/png');
    });
  } finally {
    URL.revokeObjectURL(url);
  }
}
