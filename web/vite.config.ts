/// <reference types="vitest/config" />
import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

export default defineConfig(({ command }) => ({
  plugins: [react(), tailwindcss()],
  // Built files are served under /static/; while editing, the page has the address to itself.
  base: command === "build" ? "/static/" : "/",
  resolve: { alias: { "@": new URL("./src", import.meta.url).pathname } },
  build: { target: "es2022", assetsInlineLimit: 0, modulePreload: { polyfill: false } },
  server: {
    host: "127.0.0.1",
    proxy: { "/api": process.env.YARROW_API ?? "http://127.0.0.1:8601" },
  },
  test: {
    projects: [
      // Functions alone, and what is drawn, in a pretended browser.
      { extends: true, test: { name: "functions", include: ["src/**/*.test.ts"], isolate: false } },
      {
        extends: true,
        test: {
          name: "drawn",
          include: ["src/**/*.test.tsx"],
          environment: "jsdom",
          isolate: false,
          setupFiles: ["src/testing/setup.ts"],
        },
      },
    ],
  },
}));
