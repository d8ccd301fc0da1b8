// Whether this browser can draw in space; asked once.
let known: boolean | undefined;

export function hasWebGL(): boolean {
  if (known === undefined) {
    const context = document.createElement("canvas").getContext("webgl2");
    known = context !== null;
    context?.getExtension("WEBGL_lose_context")?.loseContext();
  }
  return known;
}
