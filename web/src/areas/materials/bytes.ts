/** Longer side of a picture that goes out, in pixels; and how large a file may be to go as it is, in bytes. */
const longest = 2_000;
const small = 1_200_000;

/** The bytes in base64. */
export function base64(file: Blob): Promise<string> {
  return new Promise((done, fail) => {
    const reader = new FileReader();
    reader.onload = () => done(typeof reader.result === 'string' ? (reader.result.split(',')[1] ?? '') : '');
    reader.onerror = () => fail(reader.error ?? new Error('The file cannot be read.'));
    reader.readAsDataURL(file);
  });
}

/** A photo as small as it will be kept, so that it is through soon; what cannot be drawn here goes as it is. */
export async function smallEnough(file: Blob): Promise<Blob> {
  try {
    const picture = await createImageBitmap(file);
    const scale = Math.min(1, longest / Math.max(picture.width, picture.height));
    if (scale === 1 && file.size <= small) return file;
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(picture.width * scale);
    canvas.height = Math.round(picture.height * scale);
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    picture.close();
    const drawn = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', 0.85));
    return drawn !== null && drawn.size < file.size ? drawn : file;
  } catch {
    return file;
  }
}
