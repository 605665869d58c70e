import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { brotliCompressSync, gzipSync } from "node:zlib";
import { defineConfig, type Plugin } from "vite";
import { VitePWA } from "vite-plugin-pwa";

// In development the screens come from Vite and everything else from the running application.
const application = process.env.ISOKINON ?? "http://127.0.0.1:8600";

/** Compresses scripts and styles once, when they are built, instead of at every request. */
function compressed(): Plugin {
  let out = "";
  return {
    name: "compressed",
    apply: "build",
    configResolved: (config) => {
      out = join(config.root, config.build.outDir, "assets");
    },
    closeBundle: () => {
      for (const name of readdirSync(out).filter((n) => /\.(js|css|svg)$/.test(n))) {
        const text = readFileSync(join(out, name));
        writeFileSync(join(out, `${name}.br`), brotliCompressSync(text));
        writeFileSync(join(out, `${name}.gz`), gzipSync(text, { level: 9 }));
      }
    },
  };
}

/**
 * The screens are kept on the device, so that they open where the server is not. What the server
 * answers is kept by the bench itself and by nobody else: an old answer must never pass for a new one.
 */
const keptOnTheDevice = VitePWA({
  injectRegister: null,
  registerType: "autoUpdate",
  manifestFilename: "manifest.json",
  manifest: {
    name: "Isokinon",
    short_name: "Isokinon",
    description: "Pumps rebuilt at the bench",
    start_url: "/",
    display: "standalone",
    background_color: "#F4F1EA",
    theme_color: "#F4F1EA",
    icons: [{ src: "/icon.svg", sizes: "any", type: "image/svg+xml", purpose: "any" }],
  },
  workbox: {
    globPatterns: ["index.html", "*.svg", "assets/*.{js,css,woff2,svg,wasm}"],
    navigateFallback: "/index.html",
    navigateFallbackDenylist: [/^\/api\//, /^\/actuator\//],
    inlineWorkboxRuntime: true,
    sourcemap: false,
  },
});

export default defineConfig({
  plugins: [react(), tailwindcss(), compressed(), keptOnTheDevice],
  build: {
    outDir: "target/classes/static",
    emptyOutDir: true,
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
  },
  server: { proxy: { "/api": application } },
});
