// What the page needs without a server, made when it is built: the core with what runs it, and the
// worker that serves the page's own files.
import { createHash } from "node:crypto";
import { readdirSync, readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { gzipSync } from "node:zlib";
import { loadPyodide } from "pyodide";
import type { Plugin, Rollup } from "vite";

const ROOT = new URL("..", import.meta.url).pathname;
const RUNTIME = dirname(createRequire(import.meta.url).resolve("pyodide/package.json"));
const RUNTIME_FILES = [
  "pyodide.asm.mjs",
  "pyodide.asm.wasm",
  "python_stdlib.zip",
  "pyodide-lock.json",
];

/** The module that says at which addresses these files are. */
const ADDRESSES = "virtual:pocket";
/** Where the service worker names the files that it keeps. */
const KEPT = "self.__WB_MANIFEST";

/** Packages as wheels of the Python that runs in the page, with their byte code. */
const PACK = `
import compileall, pathlib, shutil, zipfile

def pack(name, version, written):
    top = pathlib.Path("/packed") / name
    compileall.compile_dir(top, stripdir="/packed", quiet=1, legacy=True)
    for source in top.rglob("*.py"):
        source.unlink()
    info = pathlib.Path("/packed") / f"{name}-{version}.dist-info"
    info.mkdir()
    (info / "METADATA").write_text(f"Metadata-Version: 2.1\\nName: {name}\\nVersion: {version}\\n")
    (info / "WHEEL").write_text("Wheel-Version: 1.0\\nRoot-Is-Purelib: true\\n")
    (info / "RECORD").write_text("")
    with zipfile.ZipFile(written, "w", zipfile.ZIP_DEFLATED, compresslevel=9) as wheel:
        for path in sorted([*top.rglob("*"), *info.rglob("*")]):
            if path.is_file():
                inside = zipfile.ZipInfo(str(path.relative_to("/packed")), (2020, 1, 1, 0, 0, 0))
                inside.compress_type = zipfile.ZIP_DEFLATED
                wheel.writestr(inside, path.read_bytes())
    shutil.rmtree("/packed")
`;

type Package = { readonly name: string; readonly version: string; readonly from: string };

/** Packed once for the page and its worker; nothing is there while the page is edited. */
let made: Promise<Map<string, Uint8Array>> | null = null;

/** Answers for the addresses of the files: also in the worker, which is bundled by itself. */
export function pocketAddresses(): Plugin {
  let building = false;
  return {
    name: "pocket-addresses",
    configResolved(config) {
      building = config.command === "build";
    },
    resolveId: (id) => (id === ADDRESSES ? `\0${ADDRESSES}` : null),
    async load(id) {
      if (id !== `\0${ADDRESSES}`) {
        return null;
      }
      made ??= building ? packed() : Promise.resolve(new Map());
      const names = [...(await made).keys()];
      return Object.entries({ RUNTIME: "runtime-", CORE: "core-", GRAPHS: "graphs-" })
        .map(([name, start]) => `export const ${name} = ${JSON.stringify(address(names, start))};`)
        .join("\n");
    },
  };
}

/** Puts the files beside the page's own, and tells the service worker of all. */
export function pocket(): Plugin {
  return {
    name: "pocket",
    apply: "build",
    async generateBundle(_, bundle) {
      made ??= packed();
      const files = await made;
      for (const [fileName, source] of files) {
        this.emitFile({ type: "asset", fileName, source });
        this.emitFile({ type: "asset", fileName: `${fileName}.gz`, source: gzipSync(source) });
      }
      nameKeptFiles(bundle, [...files.keys()]);
    },
  };
}

/** The folder of the runtime, or a wheel's file, by how its name starts. */
function address(names: readonly string[], start: string): string {
  const name = names.find((each) => each.startsWith(`pocket/${start}`)) ?? "";
  const folder = name.indexOf("/", "pocket/".length);
  return name && `/static/${folder < 0 ? name : name.slice(0, folder + 1)}`;
}

/** By name: what is put beside the page's own files. A name changes with what is in the file. */
async function packed(): Promise<Map<string, Uint8Array>> {
  const python = await loadPyodide({ indexURL: `${RUNTIME}/` });
  python.runPython(PACK);
  const pack = (what: Package): Uint8Array => {
    for (const file of readdirSync(what.from, { recursive: true, withFileTypes: true })) {
      const path = join(file.parentPath, file.name);
      const inside = `/packed/${what.name}/${path.slice(what.from.length + 1)}`;
      if (file.isFile() && !/__pycache__|\/tests\/|\.pyi?c$|\.pyi$/.test(inside)) {
        python.FS.mkdirTree(dirname(inside));
        python.FS.writeFile(inside, readFileSync(path));
      }
    }
    python.globals.get("pack")(what.name, what.version, "/wheel");
    return python.FS.readFile("/wheel");
  };
  const core = join(ROOT, "core/yarrow");
  const wheels: [string, Uint8Array][] = [
    ["core", pack({ name: "yarrow", version: versionIn(core), from: core })],
    ["graphs", pack(graphs())],
  ];
  const runtime = RUNTIME_FILES.map((name) => [name, readFileSync(join(RUNTIME, name))] as const);
  const whole = digest(...runtime.map(([, source]) => source));
  return new Map<string, Uint8Array>([
    ...runtime.map(([name, source]) => [`pocket/runtime-${whole}/${name}`, source] as const),
    ...wheels.map(([name, source]) => [`pocket/${name}-${digest(source)}.whl`, source] as const),
  ]);
}

function versionIn(folder: string): string {
  const text = readFileSync(join(folder, "__init__.py"), "utf8");
  return /__version__ = "([^"]+)"/.exec(text)?.[1] ?? "0";
}

/** The package of graphs that the core's one room of them asks for, as Python has it installed. */
function graphs(): Package {
  const library = join(ROOT, ".venv/lib");
  const python = readdirSync(library).find((name) => name.startsWith("python3")) ?? "";
  const from = join(library, python, "site-packages/networkx");
  return { name: "networkx", version: versionIn(from), from };
}

function digest(...sources: readonly Uint8Array[]): string {
  const hash = createHash("sha256");
  for (const source of sources) {
    hash.update(source);
  }
  return hash.digest("hex").slice(0, 10);
}

/** Tells the service worker which files to keep: all that the page is made of. */
function nameKeptFiles(bundle: Rollup.OutputBundle, others: readonly string[]): void {
  const worker = bundle["sw.js"];
  if (worker?.type !== "chunk") {
    return;
  }
  const own = Object.keys(bundle).filter((name) => name.startsWith("assets/"));
  const hash = digest(...[...own, ...others].sort().map((name) => Buffer.from(name)));
  const kept = [
    // A place in the page that nobody opens, so that what is opened is asked of the server first.
    { url: "/kept", revision: hash },
    ...[...own, ...others].map((name) => ({ url: `/static/${name}`, revision: null })),
  ];
  worker.code = worker.code.replace(KEPT, JSON.stringify(kept));
}
