import babel from "@rolldown/plugin-babel";
import react, { reactCompilerPreset } from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";
import { screens } from "./screens";

// Of the screens' sentences those that stand with the first page.
const FIRST = [
  "client",
  "clientFinder",
  "clientPicker",
  "due",
  "floorNow",
  "floorPage",
  "floorPlaces",
  "logo",
  "needs",
  "notFoundPage",
  "pageBoundary",
  "shell",
  "useTitle",
];

// The server replaces the nonce in each page it sends. React's compiler keeps what a part has drawn from what has not changed.
export default defineConfig({
  plugins: [react(), babel({ presets: [reactCompilerPreset()] }), screens(FIRST)],
  test: { setupFiles: ["./vitest.setup.ts"] },
  html: { cspNonce: "__CSP_NONCE__" },
  build: {
    outDir: "dist",
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      output: {
        // The first page in one piece; of what several others share, each fetches what it needs, in pieces worth a request.
        codeSplitting: {
          groups: [
            { name: "first", tags: ["$initial"], priority: 2 },
            { name: "shared", minShareCount: 2, entriesAware: true, entriesAwareMergeThreshold: 8000, priority: 1 },
          ],
        },
      },
    },
  },
});
