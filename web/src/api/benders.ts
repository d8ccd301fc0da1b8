// The crew's own benders and fittings.
import { useQuery } from "@tanstack/react-query";
import { client, type Schemas, unwrap } from "./client";
import { keys } from "./queries";

type BenderDocument = Schemas["RunDocument_bender_file"];

export function useBenders() {
  return useQuery({
    queryKey: keys.benders,
    queryFn: () => unwrap(client.GET("/api/benders")),
  });
}

export type Fittings = Schemas["FittingsDetail"];

export function loadFittings(): Promise<Fittings> {
  return unwrap(client.GET("/api/fittings"));
}

/** The crew's own fittings. */
export function useFittings() {
  return useQuery({ queryKey: keys.fittings, queryFn: loadFittings });
}

export function saveFittings(
  document: Fittings["document"],
  baseVersion: number,
): Promise<Fittings> {
  return unwrap(client.PUT("/api/fittings", { body: { document, base_version: baseVersion } }));
}

export function benderNumbers(
  document: BenderDocument,
  signal: AbortSignal,
): Promise<Schemas["BenderNumbers"]> {
  return unwrap(client.POST("/api/bender", { body: document, signal }));
}

/** More bends that were measured on a bender; sent again, they are kept once. */
export function learnBender(
  benderId: number,
  bends: Schemas["RunDocument_test_bend"][],
): Promise<Schemas["BenderDetail"]> {
  return unwrap(
    client.POST("/api/benders/{bender_id}/bends", {
      params: { path: { bender_id: benderId } },
      body: { bends },
    }),
  );
}

/** Keep a bender: a new one, or other numbers for the one that was opened at a version. */
export function keepBender(
  document: BenderDocument,
  opened: { id: number; version: number } | null,
): Promise<Schemas["BenderDetail"]> {
  if (!opened) {
    return unwrap(client.POST("/api/benders", { body: document }));
  }
  return unwrap(
    client.PUT("/api/benders/{bender_id}", {
      params: { path: { bender_id: opened.id } },
      body: { document, base_version: opened.version },
    }),
  );
}
