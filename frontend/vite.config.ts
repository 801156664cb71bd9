import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

// The server replaces the nonce in each page it sends.
export default defineConfig({
  plugins: [react()],
  html: { cspNonce: "__CSP_NONCE__" },
  build: { outDir: "dist", assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
});
