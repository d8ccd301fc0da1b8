// Hands the run file over as it is on the screen, saved or not.
import type { RunDocument } from "@/model/document";

export function downloadRun(run: RunDocument): void {
  const body = new Blob([`${JSON.stringify(run, null, 2)}\n`], { type: "application/json" });
  const link = document.createElement("a");
  link.href = URL.createObjectURL(body);
  link.download = `${fileName(run.name ?? "")}.json`;
  link.click();
  URL.revokeObjectURL(link.href);
}

function fileName(name: string): string {
  return (
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-|-$/g, "") || "run"
  );
}
