/** Bytes as base64; some at a time, for an argument list has an end. */
export function base64(bytes: Uint8Array): string {
  let text = "";
  for (let from = 0; from < bytes.length; from += 0x8000)
    text += String.fromCharCode(...bytes.subarray(from, from + 0x8000));
  return btoa(text);
}
