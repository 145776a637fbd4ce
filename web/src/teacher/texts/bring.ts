/** A file's bytes as base64, as the server wants them. */
export const base64 = (file: File) =>
  new Promise<string>((done, failed) => {
    const reader = new FileReader();
    reader.onload = () => done((reader.result as string).split(',')[1] ?? '');
    reader.onerror = () => failed(new Error('The file could not be read. Nothing changed. Choose another file.'));
    reader.readAsDataURL(file);
  });
