// What else is done with a site: files out and in, a drawing or a picture underneath, its history.
import { useRef } from "react";
import { addPicture, readGeoJson, readSiteDxf } from "@/api/sites";
import { layUnder, setSite } from "@/model/sites";
import { FileField } from "@/ui/FileField";
import type { Action } from "@/ui/Menu";
import { MoreMenu } from "@/ui/MoreMenu";
import { say } from "@/words/say";
import type { EditingSite } from "./useSite";

type Props = {
  siteId: number;
  editing: EditingSite;
  /** What went wrong with a file; empty, nothing did. */
  trouble: (text: string) => void;
  /** What every document has at the end of its menu. */
  last: readonly Action[];
};

function asJson(name: string, text: string): Record<string, unknown> {
  try {
    return JSON.parse(text) as Record<string, unknown>;
  } catch {
    throw new Error(
      say("{name} is neither a drawing (DXF) nor GeoJSON. Nothing of it was taken.", { name }),
    );
  }
}

export function SiteMenu({ siteId, editing, trouble, last }: Props) {
  const { change, document } = editing;
  const plan = useRef<HTMLInputElement>(null);
  const drawing = useRef<HTMLInputElement>(null);
  const picture = useRef<HTMLInputElement>(null);
  const fetched = (name: string) => window.location.assign(`/api/sites/${siteId}/${name}`);
  const reported = async (work: () => Promise<void>) => {
    trouble("");
    try {
      await work();
    } catch (error) {
      trouble(error instanceof Error ? error.message : say("That did not work."));
    }
  };
  const bringIn = async (file: File) => {
    const text = await file.text();
    const read = /\.dxf$/i.test(file.name)
      ? await readSiteDxf(text)
      : await readGeoJson(asJson(file.name, text));
    change(() => read);
  };
  const lay = async (file: File) => {
    const { key, width, height } = await addPicture(siteId, file);
    // Another picture lies where the one before it did.
    const laid = document.plan ?? { from: [0, height], to: [width, height], apart: 100 };
    change(setSite({ plan: { ...laid, picture: key } }));
  };
  return (
    <>
      <MoreMenu
        actions={[
          { label: say("Amounts as a table"), run: () => fetched("quantities.csv") },
          {
            label: say("Export as GeoJSON"),
            hint: say("in metres of the plan"),
            run: () => fetched("plan.geojson"),
          },
          { label: say("Export as DXF"), hint: say("in metres"), run: () => fetched("plan.dxf") },
          { label: say("Import GeoJSON or DXF"), run: () => plan.current?.click() },
          {
            label: say("A drawing under the plan"),
            hint: say("the lines of a DXF"),
            run: () => drawing.current?.click(),
          },
          {
            label: say("A picture under the plan"),
            hint: say("PNG or JPEG"),
            run: () => picture.current?.click(),
          },
          ...last,
        ]}
      />
      <FileField
        field={plan}
        label={say("GeoJSON or DXF file")}
        accept=".geojson,.json,.dxf"
        onFile={(file) => void reported(() => bringIn(file))}
      />
      <FileField
        field={drawing}
        label={say("Drawing under the plan")}
        accept=".dxf"
        onFile={(file) =>
          void reported(async () => change(layUnder(await readSiteDxf(await file.text()))))
        }
      />
      <FileField
        field={picture}
        label={say("Picture under the plan")}
        accept="image/png,image/jpeg"
        onFile={(file) => void reported(() => lay(file))}
      />
    </>
  );
}
