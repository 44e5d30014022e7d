/** The bytes of a file in base64. */
export function inBase64(file: File): Promise<string> {
  return new Promise((done, failed) => {
    const reader = new FileReader();
    reader.onload = () => done(String(reader.result).replace(/^[^,]*,/, ''));
    reader.onerror = () => failed(reader.error ?? new Error('the file cannot be read'));
    reader.readAsDataURL(file);
  });
}
