const LONG_SIDE = 2048;
const QUALITY = 0.85;

/**
 * A picture small enough to lie on a phone for weeks. What the camera wrote into it, the place too, is gone with that.
 * A file that this browser cannot read is kept as it is: the server says what is wrong with it.
 */
export async function shrunk(file: File): Promise<Blob> {
  let picture: ImageBitmap;
  try {
    picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    return file;
  }
  const by = Math.min(1, LONG_SIDE / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [Math.round(picture.width * by), Math.round(picture.height * by)];
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return new Promise((done) => canvas.toBlob((small) => done(small ?? file), 'image/jpeg', QUALITY));
}
