/// <reference types="vitest/config" />
import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig, type Plugin } from "vite";
import { gettext } from "./gettext";
import { pocket, pocketAddresses } from "./pocket";

/** The page's head asks for what its entry loads once the language is settled, and waits for neither. */
function startIsFetchedAtOnce(): Plugin {
  return {
    name: "start-is-fetched-at-once",
    transformIndexHtml: {
      order: "post",
      handler: (_, { bundle }) =>
        Object.values(bundle ?? {})
          .filter((file) => file.type === "chunk" && file.name === "start")
          .map(({ fileName }) => ({
            tag: "link",
            attrs: { rel: "modulepreload", crossorigin: true, href: `/static/${fileName}` },
          })),
    },
  };
}

export default defineConfig(({ command }) => ({
  plugins: [react(), tailwindcss(), gettext(), pocket(), startIsFetchedAtOnce()],
  worker: { format: "es", plugins: () => [pocketAddresses()] },
  // Built files are served under /static/; while editing, the page has the address to itself.
  base: command === "build" ? "/static/" : "/",
  resolve: { alias: { "@": new URL("./src", import.meta.url).pathname } },
  build: {
    target: "es2022",
    assetsInlineLimit: 0,
    modulePreload: { polyfill: false },
    rolldownOptions: {
      input: { index: "index.html", sw: "src/pocket/sw.ts" },
      output: {
        // A service worker keeps its address: it is how a browser finds the next one.
        entryFileNames: ({ name }) => (name === "sw" ? "sw.js" : "assets/[name]-[hash].js"),
        codeSplitting: {
          groups: [
            // Settled before the rest is run, so it is a file of its own.
            { name: "words", test: /src\/words\/(say|language|sentences)\.ts$/, priority: 1 },
            // What every screen needs is one file, with all that it imports.
            { name: "start", test: /src\/app\/start\.tsx$/ },
          ],
        },
      },
    },
  },
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
