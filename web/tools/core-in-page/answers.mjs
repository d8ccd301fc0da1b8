// Asks the core that is built for the page, outside of one: a question a line in, an answer a line out.
//   node answers.mjs <the built page's folder>
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { createInterface } from "node:readline";
import { loadPyodide } from "pyodide";

const folder = join(process.argv[2], "pocket");
const names = readdirSync(folder);
const named = (start, end) => names.find((name) => name.startsWith(start) && name.endsWith(end));

const python = await loadPyodide({ indexURL: `${join(folder, named("runtime-", ""))}/` });
for (const start of ["core-", "graphs-"]) {
  python.unpackArchive(new Uint8Array(readFileSync(join(folder, named(start, ".whl")))), "wheel");
}
const ask = python.runPython(`
import json, yarrow
def ask(line):
    told = yarrow.asked_at(*json.loads(line))
    return json.dumps([told.status, told.text])
ask
`);
for await (const line of createInterface({ input: process.stdin })) {
  process.stdout.write(`${ask(line)}\n`);
}
