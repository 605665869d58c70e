/** A file as it is sent inside of JSON. */
export async function base64(file: File): Promise<string> {
  const url = await new Promise<string>((done, failed) => {
    const reader = new FileReader();
    reader.onload = () => done(reader.result as string);
    reader.onerror = () => failed(reader.error ?? new Error("The file cannot be read."));
    reader.readAsDataURL(file);
  });
  return url.slice(url.indexOf(",") + 1);
}
