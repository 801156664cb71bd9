// What the build made, once more in the encodings that browsers take: the server sends these copies and compresses nothing itself.
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { brotliCompressSync, constants, gzipSync } from "node:zlib";

const folder = new URL("dist/assets/", import.meta.url).pathname;
for (const name of readdirSync(folder).filter((name) => /\.(js|css|svg)$/.test(name))) {
  const bytes = readFileSync(join(folder, name));
  writeFileSync(join(folder, `${name}.gz`), gzipSync(bytes, { level: 9 }));
  writeFileSync(
    join(folder, `${name}.br`),
    brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length } }),
  );
}
