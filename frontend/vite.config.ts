import babel from "@rolldown/plugin-babel";
import react, { reactCompilerPreset } from "@vitejs/plugin-react";
import { defineConfig } from "vite";

// The server replaces the nonce in each page it sends. React's compiler keeps what a part has drawn from what has not changed.
export default defineConfig({
  plugins: [react(), babel({ presets: [reactCompilerPreset()] })],
  html: { cspNonce: "__CSP_NONCE__" },
  build: {
    outDir: "dist",
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
    // What two pages need comes in one piece: left to themselves, a bench was put together from twenty-five.
    rolldownOptions: { output: { codeSplitting: { groups: [{ name: "shared", minShareCount: 2 }] } } },
  },
});
