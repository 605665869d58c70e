import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { brotliCompressSync, gzipSync } from "node:zlib";
import { defineConfig, type Plugin } from "vite";

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

export default defineConfig({
  plugins: [react(), tailwindcss(), compressed()],
  build: {
    outDir: "target/classes/static",
    emptyOutDir: true,
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
  },
  server: { proxy: { "/api": application } },
});
