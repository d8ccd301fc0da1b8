// The core in a thread of its own: the same Python as the server's, asked at the same addresses.
import { CORE, GRAPHS, RUNTIME } from "virtual:pocket";
import { loadPyodide, type PyodideAPI } from "pyodide";
import type { Asked, Reply } from "./messages";

/** The one address that needs the package of graphs, which is loaded when it is first asked. */
const OF_GRAPHS = "site";

type AskedAt = (address: string, sent: string, options: string) => [number, string];

const START = `
import json, yarrow
def asked_at(address, sent, options):
    told = yarrow.asked_at(address, sent, json.loads(options))
    return [told.status, told.text]
asked_at
`;

let started: Promise<{ readonly python: PyodideAPI; readonly ask: AskedAt }> | null = null;
let graphs: Promise<void> | null = null;

async function start() {
  const [python, core] = await Promise.all([loadPyodide({ indexURL: RUNTIME }), wheel(CORE)]);
  python.unpackArchive(core, "wheel");
  const asked = python.runPython(START);
  const ask: AskedAt = (...given) => {
    const told = asked(...given);
    const [status, text] = told.toJs();
    told.destroy();
    return [status, text];
  };
  return { python, ask };
}

async function wheel(address: string): Promise<ArrayBuffer> {
  const response = await fetch(address);
  if (!response.ok) {
    throw new Error(`${address}: ${response.status}`);
  }
  return response.arrayBuffer();
}

async function answer({ address, sent, options }: Asked): Promise<[number, string]> {
  started ??= start();
  const { python, ask } = await started;
  if (address === OF_GRAPHS) {
    graphs ??= wheel(GRAPHS).then((buffer) => python.unpackArchive(buffer, "wheel"));
    await graphs;
  }
  return ask(address, sent, JSON.stringify(options));
}

self.onmessage = async ({ data }: MessageEvent<Asked>) => {
  let reply: Reply;
  try {
    const [status, text] = await answer(data);
    reply = { status, text };
  } catch (error) {
    started = null;
    graphs = null;
    reply = { failed: String(error) };
  }
  self.postMessage(reply);
};
