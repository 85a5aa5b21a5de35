/** A drawing of our own as a picture of dots, for where nothing else is shown. */
const DOTS_PER_MM = 200 / 25.4;
/** No browser draws much larger, dots each way. */
const DOTS_AT_MOST = 8000;

export async function pngOf(svg: string, [width, height]: readonly [number, number]): Promise<Blob> {
  const url = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  try {
    const picture = new Image();
    picture.src = url;
    await picture.decode();
    const dots = Math.min(DOTS_PER_MM, DOTS_AT_MOST / Math.max(width, height));
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [Math.ceil(width * dots), Math.ceil(height * dots)];
    const pen = canvas.getContext('2d');
    if (!pen) throw new Error('this browser draws no pictures');
    pen.fillStyle = '#ffffff';
    pen.fillRect(0, 0, canvas.width, canvas.height);
    pen.drawImage(picture, 0, 0, canvas.width, canvas.height);
    return await new Promise((done, fail) =>
      canvas.toBlob((blob) => (blob ? done(blob) : fail(new Error('the picture is too large for this browser')))),
    );
  } finally {
    URL.revokeObjectURL(url);
  }
}
