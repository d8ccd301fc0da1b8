// Ducts between buildings: planned, and what comes in.
import { client, type Schemas, unwrap } from "./client";
import { send } from "./token";

export type JobSite = Schemas["SiteDetail"];
export type SitePlan = Schemas["SitePlan"];
export type SiteStretch = SitePlan["stretches"][number];
export type SiteStop = SitePlan["stops"][number];
export type SiteWay = SitePlan["second_ways"][number];

/** Ducts planned as they stand; nothing is saved. */
export async function planSite(
  document: JobSite["document"],
  signal: AbortSignal,
): Promise<SitePlan> {
  return (await unwrap(client.POST("/api/site", { body: document, signal }))) as SitePlan;
}

/** A site's document out of GeoJSON in local metres. */
export async function readGeoJson(collection: Record<string, unknown>) {
  return (await unwrap(
    client.POST("/api/site/geojson", { body: collection }),
  )) as JobSite["document"];
}

/** A site's document out of a DXF: as Yarrow wrote it, or the lines of another drawing as trenches. */
export async function readSiteDxf(dxf: string) {
  return (await unwrap(client.POST("/api/site/dxf", { body: { dxf } }))) as JobSite["document"];
}

/** A picture to lie under the plan, as the server drew it anew. */
export function addPicture(siteId: number, picture: File): Promise<Schemas["PictureKept"]> {
  const sent = new Request(`/api/sites/${siteId}/picture`, { method: "POST", body: picture });
  const answered = async () => {
    const response = await send(sent);
    const body: unknown = await response.json();
    return response.ok
      ? { data: body as Schemas["PictureKept"], response }
      : { error: body, response };
  };
  return unwrap(answered());
}
