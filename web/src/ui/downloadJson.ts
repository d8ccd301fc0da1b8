// A document as a file on this machine.

export function downloadJson(document: unknown, name: string): void {
  const text = typeof document === "string" ? document : `${JSON.stringify(document, null, 2)}\n`;
  const address = URL.createObjectURL(new Blob([text], { type: "application/json" }));
  const link = Object.assign(window.document.createElement("a"), {
    href: address,
    download: `${name.replace(/[^\p{L}\p{N}.-]+/gu, "-").slice(0, 80) || "draft"}.json`,
  });
  link.click();
  URL.revokeObjectURL(address);
}
